<?php

declare(strict_types=1);

namespace App\Shelf;

use KeenSeam\Core\KeenSeamProblem;

final class TagsNotUsable extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function noList(): self
    {
        return new self('Tags are a list of words. Nothing was changed.');
    }

    public static function tooLong(string $tag, int $most): self
    {
        return new self(sprintf('“%s…” is long for a tag. Write at most %d letters.', mb_substr($tag, 0, 20), $most));
    }

    public static function tooMany(int $most): self
    {
        return new self(sprintf('A block carries up to %d tags. Take one away first.', $most));
    }

    public function problemCode(): string
    {
        return 'tags-not-usable';
    }

    public function where(): string
    {
        return '/tags';
    }
}
