<?php

declare(strict_types=1);

namespace App\Wall;

use App\House\House;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\Start;
use KeenSeam\Core\Making\FriendlySizes;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** A new block as it is asked for, field by field; a field that cannot be read is named with the reason. */
final readonly class StartAsked
{
    public LengthUnit $unit;

    /** @var non-empty-list<Fraction> relative widths */
    public array $columns;

    /** @var non-empty-list<Fraction> */
    public array $rows;

    public Length $width;

    public Length $height;

    private Length $allowance;

    private bool $isFigureDark;

    /** @throws KeenSeamProblem */
    public function __construct(EditFields $fields)
    {
        $this->unit = $fields->choice('units', LengthUnit::class);
        $this->allowance = House::now()->allowance($this->unit);
        $this->columns = self::lines($fields, 'columns');
        $this->rows = self::lines($fields, 'rows');
        $this->width = self::side($fields, 'width', $this->unit);
        $this->height = self::side($fields, 'height', $this->unit);
        $this->isFigureDark = ! $fields->has('figure') || $fields->text('figure') !== 'light';
    }

    public function block(Start $start, string $name): Block
    {
        return $start->block($name, $this->unit, $this->width, $this->height, $this->allowance, $this->columns, $this->rows, $this->isFigureDark);
    }

    /** @return list<array{string, string}> sizes near this one whose rows and columns cut well; none where this one does */
    public function fits(): array
    {
        $sizes = FriendlySizes::of(Face::of($this->block(Start::Blank, 'x')));

        return $sizes->awkward === [] ? [] : array_map(fn (array $size): array => [$size[0]->toText($this->unit), $size[1]->toText($this->unit)], $sizes->nearest);
    }

    /**
     * "4" is four equal ones; "1 2 1" are three, the middle one twice as wide.
     *
     * @return non-empty-list<Fraction>
     */
    private static function lines(EditFields $fields, string $field): array
    {
        $given = trim($fields->text($field));
        $widths = preg_split('~[\s,]+~', $given, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if ($widths === []) {
            throw FieldNotUsable::lines($field, '', BlockFile::MOST_LINES);
        }
        $isCount = count($widths) === 1 && preg_match('~^\d{1,4}$~D', $widths[0]) === 1;
        $lines = $isCount ? array_fill(0, min((int) $widths[0], BlockFile::MOST_LINES + 1), '1') : $widths;
        try {
            $shares = array_map(static fn (string $width): Fraction => Length::parse($width)->inches, $lines);
        } catch (KeenSeamProblem) {
            throw FieldNotUsable::lines($field, $given, BlockFile::MOST_LINES);
        }
        $arePositive = array_filter($shares, static fn (Fraction $share): bool => ! $share->isPositive()) === [];

        return $shares !== [] && count($shares) <= BlockFile::MOST_LINES && $arePositive
            ? $shares
            : throw FieldNotUsable::lines($field, $given, BlockFile::MOST_LINES);
    }

    private static function side(EditFields $fields, string $field, LengthUnit $unit): Length
    {
        $given = trim($fields->text($field));
        try {
            $side = Length::parse($given, $unit);
        } catch (KeenSeamProblem) {
            throw FieldNotUsable::size($field, $given, $unit);
        }

        return $side->isPositive() ? $side : throw FieldNotUsable::size($field, $given, $unit);
    }
}
