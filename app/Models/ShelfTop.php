<?php

declare(strict_types=1);

namespace App\Models;

use App\Exceptions\ChangedElsewhere;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFileWriter;

/**
 * A top on the quilter's shelf.
 *
 * @property int                                          $id
 * @property string                                       $name
 * @property string                                       $document the top file's text, its blocks in it
 * @property array<string, array{id: int, sum: string}>   $blocks   block of the shelf that each of its blocks was taken from, and as it was then, by key
 * @property list<array{words: string, document: string}> $earlier  what it was before its last changes, the latest last
 * @property int                                          $version  grows with every save; a save that does not know the newest one is refused
 */
final class ShelfTop extends Model
{
    use SoftDeletes;

    /** Changes that can be taken back. */
    private const MOST_EARLIER = 40;

    protected $guarded = [];

    protected $casts = ['blocks' => 'array', 'earlier' => 'array', 'version' => 'integer'];

    protected $attributes = ['blocks' => '{}', 'earlier' => '[]', 'version' => 1];

    public static function textOf(Top $top): string
    {
        return json_encode(TopFileWriter::write($top), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /** Another when the block is drawn or sewn otherwise. */
    public static function sum(ShelfBlock $block): string
    {
        return hash('xxh128', $block->document.' '.$block->order->key());
    }

    /** @return array{id: int, sum: string} */
    public static function taken(ShelfBlock $block): array
    {
        return ['id' => $block->id, 'sum' => self::sum($block)];
    }

    /**
     * @param int                  $seen the version the change was made to
     * @param array<string, mixed> $more columns that change with it
     *
     * @throws ChangedElsewhere
     */
    public function change(int $seen, string $words, Top $top, array $more = []): void
    {
        $earlier = [...$this->earlier, ['words' => $words, 'document' => $this->document]];
        $this->keep($seen, ['name' => $top->name, 'document' => self::textOf($top), 'earlier' => array_slice($earlier, -self::MOST_EARLIER)] + $more);
    }

    /**
     * Takes the last change back.
     *
     * @throws ChangedElsewhere
     */
    public function takeBack(int $seen, string $nameThen): void
    {
        $earlier = $this->earlier;
        $last = array_pop($earlier);
        if ($last !== null) {
            $this->keep($seen, ['name' => $nameThen, 'document' => $last['document'], 'earlier' => $earlier]);
        }
    }

    /** @param array<string, mixed> $values */
    private function keep(int $seen, array $values): void
    {
        $this->fill($values);
        $this->version = $seen + 1;
        $saved = self::query()->whereKey($this->id)->where('version', $seen)->update($this->getDirty());
        if ($saved !== 1) {
            throw ChangedElsewhere::block($this->name);
        }
        $this->syncOriginal();
    }
}
