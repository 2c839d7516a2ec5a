<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockNotPossible;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Fields;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthNotReadable;
use KeenSeam\Core\Measure\LengthUnit;

/** The open top format: from decoded JSON to a top. Unknown fields are the schema's business, not looked at here. */
final class TopFile
{
    public const FORMAT = 'keen-seam/top';

    public const VERSION = 1;

    /** Rows, and columns. */
    public const MOST_PLACES = 30;

    public const MOST_BLOCKS = 60;

    public const MOST_BORDERS = 8;

    public const MOST_PILES = 4;

    private const DEFAULT_ORDER = 'rows';

    /** @param non-empty-array<string, Fabric> $fabrics */
    private function __construct(
        private readonly Fields $file,
        private readonly LengthUnit $unit,
        private readonly Length $allowance,
        private readonly array $fabrics,
    ) {}

    /**
     * @param array<array-key, mixed> $decoded the file's JSON as nested arrays
     *
     * @throws KeenSeamProblem with the JSON pointer of what is wrong
     */
    public static function read(array $decoded): Top
    {
        $file = new Fields($decoded);
        if (! $file->has('format') || $file->text('format') !== self::FORMAT) {
            throw TopNotPossible::because('This is not a Keen Seam top file. Choose a file whose "format" is "keen-seam/top".', '/format');
        }
        if ($file->integer('version', 0) !== self::VERSION) {
            throw TopNotPossible::because('This top file has another version. Save it again as version 1.', '/version');
        }
        $unit = LengthUnit::tryFrom($file->text('units')) ?? throw TopNotPossible::because('"units" is neither "in" nor "mm". Write one of the two.', '/units');

        return (new self($file, $unit, self::positive($file, 'seam_allowance', $unit, 'the seam allowance'), BlockFile::fabricsOfFile($file)))->top();
    }

    private function top(): Top
    {
        $setting = Setting::tryFrom($this->file->text('setting')) ?? throw TopNotPossible::because('"setting" is neither "straight" nor "on-point". Write one of the two.', '/setting');
        [$rows, $columns] = [$this->lines('rows'), $this->lines('columns')];
        if ($rows * $columns < 2) {
            throw TopNotPossible::because('A top of one place is a block. Give it at least two places.', '/rows');
        }
        $designs = $this->designs($setting);
        $sides = $this->sides($setting);
        $top = new Top(
            $this->file->name('name'),
            $this->unit,
            $this->allowance,
            $this->fabrics,
            $designs,
            $setting,
            $rows,
            $columns,
            $this->places($designs, $setting, $rows, $columns, $setting === Setting::OnPoint && $sides?->fabric === null),
            $this->turns(),
            $this->piles($designs),
            $this->sashes(),
            $sides,
            $this->borders(),
        );
        $this->ensureCount($top);

        return $top;
    }

    private function lines(string $field): int
    {
        $count = $this->file->count($field);

        return $count <= self::MOST_PLACES ? $count : throw TopNotPossible::because(sprintf('A top has at most %d %s, and this one would have %d. Sew it in parts.', self::MOST_PLACES, $field, $count), '/'.$field);
    }

    /** @return non-empty-array<string, Design> */
    private function designs(Setting $setting): array
    {
        $blocks = $this->file->object('blocks');
        $designs = [];
        foreach ($blocks->names() as $key) {
            $fields = $blocks->object($key);
            $design = new Design($key, $this->block($fields, $key), $fields->has('order') ? $fields->text('order') : self::DEFAULT_ORDER);
            $first = reset($designs);
            if ($first !== false && (! $first->block->finishedWidth->equals($design->block->finishedWidth) || ! $first->block->finishedHeight->equals($design->block->finishedHeight))) {
                throw TopNotPossible::differentSizes($first, $design, $fields->at('finished'));
            }
            if ($setting === Setting::OnPoint && ! $design->isSquare()) {
                throw TopNotPossible::notSquare($design, $fields->at('finished'));
            }
            $designs[$key] = $design;
        }
        if (count($designs) > self::MOST_BLOCKS) {
            throw TopNotPossible::because(sprintf('A top is made of at most %d different blocks. Use fewer.', self::MOST_BLOCKS), '/blocks');
        }

        return $designs === [] ? throw TopNotPossible::because('There is no block in "blocks". Add at least one.', '/blocks') : $designs;
    }

    private function block(Fields $fields, string $key): Block
    {
        return BlockFile::embedded($fields, $key, $this->unit, $this->allowance, $this->fabrics);
    }

    /**
     * @param non-empty-array<string, Design> $designs
     *
     * @return list<TopPlace>
     */
    private function places(array $designs, Setting $setting, int $rows, int $columns, bool $hasRim): array
    {
        $first = $designs[array_key_first($designs)];
        $places = [];
        foreach (self::spots($setting, $rows, $columns, $hasRim) as [$row, $column]) {
            $places[$row.','.$column] = new TopPlace($row, $column, $first);
        }
        $given = [];
        foreach ($this->file->has('places') ? $this->file->entries('places') : [] as $entry) {
            $place = $this->place($entry, $designs, $setting);
            if (! isset($places[$place->key()])) {
                throw TopNotPossible::placeOutside($this->words($place, $setting), $hasRim ? '1/2' : '1', $rows.($hasRim ? ' 1/2' : ''), $columns.($hasRim ? ' 1/2' : ''), $entry->where);
            }
            if (isset($given[$place->key()])) {
                throw TopNotPossible::placeTakenTwice($this->words($place, $setting), $entry->where);
            }
            $given[$place->key()] = true;
            $places[$place->key()] = $place;
        }

        return array_values($places);
    }

    /** @return iterable<array{int, int}> doubled row and column of every place, in reading order */
    private static function spots(Setting $setting, int $rows, int $columns, bool $hasRim): iterable
    {
        for ($row = $hasRim ? 1 : 2; $row <= 2 * $rows + ($hasRim ? 1 : 0); ++$row) {
            if ($row % 2 === 1 && $setting === Setting::Straight) {
                continue;
            }
            $between = $row % 2 === 1;
            for ($column = $between ? ($hasRim ? 1 : 3) : 2; $column <= 2 * $columns + ($between && $hasRim ? 1 : 0); $column += 2) {
                yield [$row, $column];
            }
        }
    }

    /** @param non-empty-array<string, Design> $designs */
    private function place(Fields $entry, array $designs, Setting $setting): TopPlace
    {
        $turn = Turn::tryFrom($entry->integer('turn', 0)) ?? throw TopNotPossible::because('"turn" is a quarter turn clockwise: 0, 90, 180 or 270. Write one of them.', $entry->at('turn'));
        [$row, $column] = [$this->doubled($entry, 'row', $setting), $this->doubled($entry, 'column', $setting)];
        if (($row - $column) % 2 !== 0) {
            throw TopNotPossible::because('A place stands at a whole row and column, or between at a half row and a half column. Correct one of the two.', $entry->at('column'));
        }
        if ($entry->has('block') === $entry->has('fabric')) {
            throw TopNotPossible::because('A place holds a block or a plain square of a fabric. Name one of the two.', $entry->where);
        }
        if ($entry->has('fabric')) {
            return new TopPlace($row, $column, $this->fabric($entry, 'fabric'));
        }
        $key = $entry->text('block');
        $design = $designs[$key] ?? throw TopNotPossible::unknownBlock(mb_substr($key, 0, 60), $entry->at('block'));
        if ($turn->swapsSides() && ! $design->isSquare()) {
            throw TopNotPossible::turnedOblong($design, $entry->at('turn'));
        }

        return new TopPlace($row, $column, $design, new Placement($turn, $entry->flag('mirrored')));
    }

    /** Twice a row or column, which is a number, or a text like "1 1/2". */
    private function doubled(Fields $entry, string $field, Setting $setting): int
    {
        if (! $entry->hasText($field)) {
            return 2 * $entry->count($field);
        }
        $text = $entry->text($field);
        $doubled = TopPlace::doubled($text);
        if ($doubled === null || ($doubled % 2 === 1 && $setting === Setting::Straight)) {
            throw TopNotPossible::because($setting === Setting::Straight ? 'Rows and columns of a straight top are whole numbers from 1.' : sprintf('"%s" is no row or column. Write it like "2" or "1 1/2".', mb_substr($text, 0, 20)), $entry->at($field));
        }

        return $doubled;
    }

    private function words(TopPlace $place, Setting $setting): string
    {
        return sprintf('row %s, column %s', TopPlace::number($place->rowDoubled, $setting), TopPlace::number($place->columnDoubled, $setting));
    }

    private function turns(): TurnsAllowed
    {
        if (! $this->file->has('turns')) {
            return TurnsAllowed::SameFace;
        }

        return TurnsAllowed::tryFrom($this->file->text('turns')) ?? throw TopNotPossible::because('"turns" is "fixed", "same-face" or "any". Write one of them.', '/turns');
    }

    /**
     * @param array<string, Design> $designs
     *
     * @return array<string, int>
     */
    private function piles(array $designs): array
    {
        $fields = $this->file->has('piles') ? $this->file->object('piles') : null;
        $piles = [];
        foreach ($fields?->names() ?? [] as $key) {
            isset($designs[$key]) || throw TopNotPossible::unknownBlock(mb_substr($key, 0, 60), '/piles');
            $piles[$key] = $fields?->count($key) ?? 1;
            if ($piles[$key] > self::MOST_PILES) {
                throw TopNotPossible::because(sprintf('A block is pressed in at most %d piles. Use fewer.', self::MOST_PILES), '/piles/'.$key);
            }
        }

        return $piles;
    }

    private function sashes(): ?Sashes
    {
        if (! $this->file->has('sashes')) {
            return null;
        }
        $fields = $this->file->object('sashes');

        return new Sashes(
            self::positive($fields, 'width', $this->unit, 'the width of the sashes'),
            $this->fabric($fields, 'fabric'),
            $fields->has('cornerstone') ? $this->fabric($fields, 'cornerstone') : null,
            $fields->flag('outer'),
        );
    }

    private function sides(Setting $setting): ?Sides
    {
        if (! $this->file->has('sides')) {
            return $setting === Setting::Straight ? null : throw TopNotPossible::because('A top on point has triangles at its sides. Say in "sides" of which fabric, or that they are halves of blocks.', '/sides');
        }
        $fields = $this->file->object('sides');
        $ofBlocks = $fields->flag('blocks');
        if ($ofBlocks === $fields->has('fabric')) {
            throw TopNotPossible::because('The triangles at the sides are plain or halves of blocks. Give "fabric" or "blocks", one of the two.', $fields->where);
        }
        $float = $fields->has('float') ? self::length($fields, 'float', $this->unit) : Length::ofInches(0);
        if ($ofBlocks && $float->isPositive()) {
            throw TopNotPossible::because('Only plain triangles can be cut larger. Take "float" away, or make the sides plain.', $fields->at('float'));
        }

        return new Sides($ofBlocks ? null : $this->fabric($fields, 'fabric'), $float);
    }

    /** @return list<Border> */
    private function borders(): array
    {
        $borders = [];
        foreach ($this->file->has('borders') ? $this->file->entries('borders') : [] as $entry) {
            $corners = $entry->has('corners') ? $entry->text('corners') : 'butted';
            if ($corners !== 'butted' && $corners !== 'squares') {
                throw TopNotPossible::because('The corners of a border are "butted" or "squares". Write one of the two.', $entry->at('corners'));
            }
            $fabric = $this->fabric($entry, 'fabric');
            $ofSquares = $entry->has('square') ? $this->fabric($entry, 'square') : $fabric;
            $borders[] = new Border(self::positive($entry, 'width', $this->unit, 'the width of a border'), $fabric, $corners === 'squares' ? $ofSquares : null);
        }

        return count($borders) <= self::MOST_BORDERS ? $borders : throw TopNotPossible::because(sprintf('A top has at most %d borders. Use fewer.', self::MOST_BORDERS), '/borders');
    }

    private function fabric(Fields $fields, string $field): Fabric
    {
        $key = $fields->text($field);

        return $this->fabrics[$key] ?? throw BlockNotPossible::unknownFabric(mb_substr($key, 0, 20), $fields->at($field));
    }

    /** Before anything is laid out: so many patches would take minutes to be refused. */
    private function ensureCount(Top $top): void
    {
        $patches = [];
        foreach ($top->designs as $key => $design) {
            $patches[$key] = count(Face::of($design->block)->patches);
        }
        $count = array_sum(array_map(static fn (TopPlace $place): int => $place->holds instanceof Design ? $patches[$place->holds->key] : 1, $top->places));
        if ($count > Face::MOST_PATCHES) {
            throw TopNotPossible::because(sprintf('This top would have %s patches; the most is %s. Use fewer places, or sew it in parts.', number_format($count), number_format(Face::MOST_PATCHES)), '/rows');
        }
    }

    private static function positive(Fields $fields, string $field, LengthUnit $unit, string $what): Length
    {
        $length = self::length($fields, $field, $unit);

        return $length->isPositive() ? $length : throw LengthNotReadable::notPositive($fields->text($field), $what, $fields->at($field));
    }

    private static function length(Fields $fields, string $field, LengthUnit $unit): Length
    {
        try {
            return Length::parse($fields->text($field), $unit);
        } catch (LengthNotReadable $problem) {
            throw $problem->at($fields->at($field));
        }
    }
}
