<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Models\ShelfBlock;
use App\Models\ShelfTop;

/** Short words that a quilter gives what stands on her shelf. */
final class Tags
{
    private const MOST = 12;

    private const LONGEST = 40;

    /**
     * Keeps them without a new version and without touching the thing: they change nothing of it.
     *
     * @return list<string> as they are kept, each once
     *
     * @throws TagsNotUsable
     */
    public static function give(ShelfBlock|ShelfTop $to, mixed $given): array
    {
        if (! is_array($given) || ! array_is_list($given)) {
            throw TagsNotUsable::noList();
        }
        $tags = [];
        foreach ($given as $tag) {
            $tag = is_string($tag) && mb_check_encoding($tag, 'UTF-8') ? trim((string) preg_replace('~[\p{Cc}\s]+~u', ' ', $tag)) : throw TagsNotUsable::noList();
            if (mb_strlen($tag) > self::LONGEST) {
                throw TagsNotUsable::tooLong($tag, self::LONGEST);
            }
            if ($tag !== '') {
                $tags[mb_strtolower($tag)] ??= $tag;
            }
        }
        if (count($tags) > self::MOST) {
            throw TagsNotUsable::tooMany(self::MOST);
        }
        $to->tags = array_values($tags);
        $to->timestamps = false;
        $to->save();

        return $to->tags;
    }
}
