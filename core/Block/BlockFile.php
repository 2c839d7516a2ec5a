<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthNotReadable;
use KeenSeam\Core\Measure\LengthUnit;

/** The open block format: from decoded JSON to a block. Unknown fields are the schema's business, not looked at here. */
final class BlockFile
{
    public const FORMAT = 'keen-seam/block';

    public const VERSION = 1;

    /** Cells of the block and of all its nested grids together; a top of 48 x 48 fits. */
    public const MOST_CELLS = 4096;

    /** Columns, and rows, of one grid. */
    public const MOST_LINES = 64;

    /** Grids inside grids inside grids. */
    public const DEEPEST_NESTING = 12;

    private int $cells = 0;

    /** @var array<string, Fabric> */
    private array $fabrics = [];

    private LengthUnit $unit = LengthUnit::Inch;

    private function __construct() {}

    /**
     * @param array<array-key, mixed> $decoded the file's JSON as nested arrays
     *
     * @throws KeenSeamProblem with the JSON pointer of what is wrong
     */
    public static function read(array $decoded): Block
    {
        return (new self())->block(new Fields($decoded));
    }

    /**
     * Cells alone, as entries of "cells", in the fabrics of a block that is there.
     *
     * @param array<array-key, mixed> $entries
     *
     * @return list<Cell>
     *
     * @throws KeenSeamProblem
     */
    public static function cells(array $entries, Block $block): array
    {
        $file = new self();
        [$file->fabrics, $file->unit] = [$block->fabrics, $block->unit];

        return array_map(static fn (Fields $entry): Cell => $file->cell($entry, 0), (new Fields(['cells' => $entries]))->objects('cells'));
    }

    /**
     * The fabrics of a file, by key.
     *
     * @return non-empty-array<string, Fabric>
     *
     * @throws KeenSeamProblem
     */
    public static function fabricsOfFile(Fields $file): array
    {
        $reader = new self();
        $reader->readFabrics($file);

        return $reader->fabrics === [] ? throw new \LogicException('The list of fabrics was checked to be filled.') : $reader->fabrics;
    }

    /**
     * A block that stands in another file: its size, columns, rows and cells; the rest is the file's.
     *
     * @param non-empty-array<string, Fabric> $fabrics by key
     *
     * @throws KeenSeamProblem
     */
    public static function embedded(Fields $fields, string $name, LengthUnit $unit, Length $allowance, array $fabrics): Block
    {
        $reader = new self();
        [$reader->fabrics, $reader->unit] = [$fabrics, $unit];
        $size = $fields->object('finished');

        return new Block($name, $unit, $reader->side($size, 'width', $unit), $reader->side($size, 'height', $unit), $allowance, $fabrics, $reader->grid($fields, 0));
    }

    private function block(Fields $file): Block
    {
        if (! $file->has('format') || $file->text('format') !== self::FORMAT) {
            throw BlockNotPossible::because('This is not a Keen Seam block file. Choose a file whose "format" is "keen-seam/block".', '/format');
        }
        if ($file->integer('version', 0) !== self::VERSION) {
            throw BlockNotPossible::because('This block file has another version. Save it again as version 1.', '/version');
        }
        $unit = LengthUnit::tryFrom($file->text('units'))
            ?? throw BlockNotPossible::because('"units" is neither "in" nor "mm". Write one of the two.', '/units');
        $this->unit = $unit;
        $size = $file->object('finished');
        $this->readFabrics($file);

        return new Block(
            $file->name('name'),
            $unit,
            $this->side($size, 'width', $unit),
            $this->side($size, 'height', $unit),
            $this->length($file, 'seam_allowance', $unit, 'the seam allowance'),
            $this->fabrics === [] ? throw new \LogicException('The list of fabrics was checked to be filled.') : $this->fabrics,
            $this->grid($file, 0),
        );
    }

    private function readFabrics(Fields $file): void
    {
        foreach ($file->objects('fabrics') as $entry) {
            $key = $entry->name('key');
            if (isset($this->fabrics[$key])) {
                throw BlockNotPossible::because(sprintf('Two fabrics have the key "%s". Give each its own.', $key), $entry->at('key'));
            }
            $value = FabricValue::tryFrom($entry->text('value'))
                ?? throw BlockNotPossible::because('A fabric\'s "value" is light, medium or dark. Write one of them.', $entry->at('value'));
            $color = $entry->text('color');
            if (preg_match('~^#(?:[0-9a-fA-F]{3}){1,2}$~D', $color) !== 1) {
                throw BlockNotPossible::because(sprintf('"%s" is not a colour. Write it like "#3b5b7a".', mb_substr($color, 0, 20)), $entry->at('color'));
            }
            $this->fabrics[$key] = new Fabric($key, $entry->name('name'), $color, $value);
        }
    }

    private function grid(Fields $fields, int $depth): Grid
    {
        if ($depth > self::DEEPEST_NESTING) {
            throw BlockNotPossible::because(sprintf('Grids are nested more than %d deep here. Put fewer grids inside one another.', self::DEEPEST_NESTING), $fields->where);
        }
        $columns = $this->widths($fields, 'columns');
        $rows = $this->widths($fields, 'rows');
        $cells = [];
        foreach ($fields->objects('cells') as $entry) {
            if (++$this->cells > self::MOST_CELLS) {
                throw BlockNotPossible::tooMany('cells', self::MOST_CELLS, $fields->at('cells'));
            }
            $cells[] = $this->cell($entry, $depth);
        }

        return Grid::of($columns, $rows, $cells, $fields->at('cells'));
    }

    private function cell(Fields $entry, int $depth): Cell
    {
        $turn = Turn::tryFrom($entry->integer('turn', 0))
            ?? throw BlockNotPossible::because('"turn" is a quarter turn clockwise: 0, 90, 180 or 270. Write one of them.', $entry->at('turn'));
        foreach (['row', 'column', 'row_span', 'column_span'] as $field) {
            if ($entry->integer($field, 1) > self::MOST_CELLS) {
                throw BlockNotPossible::because(sprintf('"%s" is larger than any grid. Count rows and columns from 1.', $field), $entry->at($field));
            }
        }

        return new Cell(
            $entry->count('row'),
            $entry->count('column'),
            $entry->count('row_span', 1),
            $entry->count('column_span', 1),
            $this->unit($entry, $depth),
            new Placement($turn, $entry->flag('mirrored')),
            $entry->has('label') ? $entry->name('label') : null,
        );
    }

    private function unit(Fields $entry, int $depth): Unit
    {
        $kind = $entry->text('unit');
        if ($kind === GridUnit::KIND) {
            return new GridUnit($this->grid($entry, $depth + 1));
        }
        if ($kind === FlippedCornersUnit::KIND) {
            return $this->flippedCorners($entry);
        }
        if ($kind === PatchesUnit::KIND) {
            return $this->patches($entry);
        }
        $patterns = UnitPatterns::all();
        $pattern = $patterns[$kind] ?? throw BlockNotPossible::because(
            sprintf('"%s" is not a unit. Use one of: %s, %s.', mb_substr($kind, 0, 40), implode(', ', array_keys($patterns)), implode(', ', [FlippedCornersUnit::KIND, GridUnit::KIND, PatchesUnit::KIND])),
            $entry->at('unit'),
        );

        return new PatternUnit($pattern, $this->fabricsOf($entry, $kind, count($pattern->outlines)));
    }

    private function flippedCorners(Fields $entry): FlippedCornersUnit
    {
        [$base] = $this->fabricsOf($entry, FlippedCornersUnit::KIND, 1);
        $given = $entry->object('corners');
        $corners = [];
        foreach (Corner::cases() as $corner) {
            if ($given->has($corner->value)) {
                $fields = $given->object($corner->value);
                $corners[] = new FlippedCorner($corner, $this->fabric($fields), $this->length($fields, 'size', $this->unit, 'the size of a corner'));
            }
        }
        if ($corners === []) {
            throw BlockNotPossible::because('No corner is flipped here. Give at least one of tl, tr, br, bl, or use a plain patch.', $given->where);
        }

        return new FlippedCornersUnit($base, $corners, $this->unit, $given->where);
    }

    private function patches(Fields $entry): PatchesUnit
    {
        $pieces = [];
        foreach ($entry->objects('patches') as $patch) {
            $corners = [];
            foreach ($patch->lists('points') as $i => $point) {
                if (count($point) !== 2 || ! is_string($point[0]) || ! is_string($point[1])) {
                    throw BlockNotPossible::because('A corner of a patch is two texts, like ["0", "1/2"]. Correct it.', $patch->at('points/'.$i));
                }
                $corners[] = [$this->share($point[0], $patch->at("points/$i/0")), $this->share($point[1], $patch->at("points/$i/1"))];
            }
            $pieces[] = [$this->fabric($patch), self::opened($corners)];
        }

        return PatchesUnit::of($pieces, $entry->at('patches'));
    }

    /**
     * Some programs write the first corner again as the last, or one twice in a row.
     *
     * @param list<array{Fraction, Fraction}> $corners
     *
     * @return list<array{Fraction, Fraction}>
     */
    private static function opened(array $corners): array
    {
        $kept = [];
        foreach ($corners as $i => $corner) {
            $next = $corners[($i + 1) % count($corners)];
            if (! $corner[0]->equals($next[0]) || ! $corner[1]->equals($next[1])) {
                $kept[] = $corner;
            }
        }

        return $kept;
    }

    private function share(string $text, string $where): Fraction
    {
        try {
            return Length::parse($text)->inches;
        } catch (LengthNotReadable) {
            throw BlockNotPossible::because(sprintf('"%s" is not a fraction of the cell. Write it like "0", "1/3" or "0.5".', mb_substr($text, 0, 40)), $where);
        }
    }

    /** @return non-empty-list<Fabric> */
    private function fabricsOf(Fields $entry, string $kind, int $patches): array
    {
        $keys = $entry->texts('fabrics');
        if (count($keys) !== $patches) {
            throw BlockNotPossible::fabricCount($kind, $patches, count($keys), $entry->at('fabrics'));
        }

        return array_map(
            fn (string $key, int $i): Fabric => $this->fabrics[$key]
                ?? throw BlockNotPossible::unknownFabric(mb_substr($key, 0, 20), $entry->at('fabrics/'.$i)),
            $keys,
            array_keys($keys),
        );
    }

    private function fabric(Fields $entry): Fabric
    {
        $key = $entry->text('fabric');

        return $this->fabrics[$key] ?? throw BlockNotPossible::unknownFabric(mb_substr($key, 0, 20), $entry->at('fabric'));
    }

    /** @return non-empty-list<Fraction> */
    private function widths(Fields $fields, string $field): array
    {
        $widths = [];
        $texts = $fields->texts($field);
        if (count($texts) > self::MOST_LINES) {
            throw BlockNotPossible::tooMany($field, self::MOST_LINES, $fields->at($field));
        }
        foreach ($texts as $i => $text) {
            $where = $fields->at($field.'/'.$i);
            // Relative widths follow the grammar of lengths; what they are measured in does not matter.
            $widths[] = $this->positive($text, LengthUnit::Inch, 'the width of a row or column', $where)->inches;
        }

        return $widths;
    }

    private function side(Fields $size, string $field, LengthUnit $unit): Length
    {
        $side = $this->length($size, $field, $unit, 'the finished '.$field);
        $most = Block::longestSide($unit);

        return $side->inches->compareTo($most->inches) <= 0 ? $side : throw BlockNotPossible::tooLargeABlock($side, $most, $unit, $size->at($field));
    }

    private function length(Fields $fields, string $field, LengthUnit $unit, string $what): Length
    {
        return $this->positive($fields->text($field), $unit, $what, $fields->at($field));
    }

    private function positive(string $text, LengthUnit $unit, string $what, string $where): Length
    {
        try {
            $length = Length::parse($text, $unit);
        } catch (LengthNotReadable $problem) {
            throw $problem->at($where);
        }

        return $length->isPositive() ? $length : throw LengthNotReadable::notPositive($text, $what, $where);
    }
}
