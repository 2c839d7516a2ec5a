<?php

declare(strict_types=1);

namespace App\Wall;

use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Layout\Spot;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthNotReadable;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopPlace;

/** The fields of one change as it was sent, read one by one. */
final readonly class EditFields
{
    /** @param array<array-key, mixed> $values */
    public function __construct(private array $values) {}

    public function has(string $field): bool
    {
        return ($this->values[$field] ?? null) !== null;
    }

    public function text(string $field): string
    {
        $value = $this->values[$field] ?? null;

        return is_string($value) && mb_strlen($value) <= 120 && preg_match('~\p{Cc}~u', $value) === 0
            ? $value
            : throw EditNotReadable::field($field, 'text of up to 120 letters');
    }

    public function number(string $field): int
    {
        $value = $this->values[$field] ?? null;

        return is_int($value) && abs($value) <= 10_000 ? $value : throw EditNotReadable::field($field, 'whole number');
    }

    /** Milliseconds since 1970. */
    public function moment(string $field): int
    {
        $value = $this->values[$field] ?? null;

        return is_int($value) && $value > 0 ? $value : throw EditNotReadable::field($field, 'time');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $choices
     *
     * @return T
     */
    public function choice(string $field, string $choices): \BackedEnum
    {
        $value = $this->values[$field] ?? null;

        return (is_string($value) ? $choices::tryFrom($value) : null)
            ?? throw EditNotReadable::field($field, implode(', ', array_map(static fn (\BackedEnum $case): string => (string) $case->value, $choices::cases())));
    }

    public function placement(): Placement
    {
        $turn = $this->values['turn'] ?? 0;

        return new Placement(
            (is_int($turn) ? Turn::tryFrom($turn) : null) ?? throw EditNotReadable::field('turn', 'quarter turn: 0, 90, 180 or 270'),
            ($this->values['mirrored'] ?? false) === true,
        );
    }

    /**
     * A place of a top, told by its row and column as its file does.
     *
     * @throws EditNotReadable when the top has none there
     */
    public function placeOf(Top $top): TopPlace
    {
        return $top->placeOf(TopPlace::doubled($this->text('row')).','.TopPlace::doubled($this->text('column'))) ?? throw EditNotReadable::field('row', 'place of the top');
    }

    public function length(string $field, LengthUnit $unit): Length
    {
        try {
            return Length::parse($this->text($field), $unit);
        } catch (LengthNotReadable $problem) {
            throw $problem->at('/'.$field);
        }
    }

    /** Two shares of a cell, as texts: "1/3", "0.5". */
    public function spot(string $field): Spot
    {
        $value = $this->list($field);
        if (count($value) !== 2 || ! is_string($value[0]) || ! is_string($value[1]) || max(strlen($value[0]), strlen($value[1])) > 20) {
            throw EditNotReadable::field($field, 'place: two shares of the cell, like 1/3 and 1/2');
        }

        return new Spot(Length::parse($value[0])->inches, Length::parse($value[1])->inches);
    }

    /** @return array{int, int} */
    public function pair(string $field): array
    {
        $value = $this->list($field);

        return count($value) === 2 && is_int($value[0]) && is_int($value[1]) ? [$value[0], $value[1]] : throw EditNotReadable::field($field, 'pair of patches');
    }

    /** @return list<array{int, int}> row and column of each */
    public function places(string $field = 'places'): array
    {
        $places = [];
        foreach ($this->list($field) as $place) {
            if (! is_array($place) || count($place) !== 2 || ! is_int($place[0] ?? null) || ! is_int($place[1] ?? null)) {
                throw EditNotReadable::field($field, 'list of rows and columns');
            }
            $places[] = [$place[0], $place[1]];
        }

        return $places;
    }

    /** @return list<mixed> */
    public function list(string $field): array
    {
        $value = $this->values[$field] ?? null;

        return is_array($value) && array_is_list($value) && count($value) <= 5000 ? $value : throw EditNotReadable::field($field, 'list');
    }
}
