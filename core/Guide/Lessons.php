<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** What a logbook teaches, each in a sentence that says what to do; nothing before there is enough to go by. */
final class Lessons
{
    private const FEWEST_UNPICKS = 3;

    private const FEWEST_SIZES = 3;

    /** How many of the last seams say what the machine does now. */
    private const RECENT = 5;

    /** Inches; what is off by no more is not worth a change. Common practice, no published source. */
    private const WORTH = [1, 64];

    private const NUMBERS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];

    /**
     * @param LengthUnit $unit in which lengths are told
     *
     * @return list<string>
     */
    public static function of(Logbook $log, LengthUnit $unit): array
    {
        return array_values(array_filter([self::ofUnpicks($log), self::ofTakeUp($log, $unit), self::ofItsGrowth($log, $unit), self::ofUnits($log)]));
    }

    private static function ofUnpicks(Logbook $log): string
    {
        $causes = $log->causes();
        $all = count($log->unpicks);
        $cause = UnpickCause::tryFrom((string) array_key_first($causes));
        if ($all < self::FEWEST_UNPICKS || $cause === null || $cause->remedy() === '' || 2 * $causes[$cause->value] < $all) {
            return '';
        }
        $units = array_unique(array_map(static fn (LogEntry $entry): string => $entry->units, array_filter($log->unpicks, static fn (LogEntry $entry): bool => $entry->cause === $cause)));

        return sprintf(
            '%s of %s unpicks were %s: %s.',
            ucfirst(self::number($causes[$cause->value])),
            self::number($all),
            $cause->several(count($units) === 1 ? array_values($units)[0] : 'units'),
            $cause->remedy(),
        );
    }

    private static function ofTakeUp(Logbook $log, LengthUnit $unit): string
    {
        $errors = array_slice(self::errors($log), -self::RECENT);
        if (count($errors) < self::FEWEST_SIZES) {
            return '';
        }
        $error = self::middle($errors);
        $last = $log->takeUps[count($log->takeUps) - 1];
        $takes = Amount::rounded(Length::of($last['ideal']->in(LengthUnit::Inch)->plus($error), LengthUnit::Inch)->in($unit)->toFloat(), $unit);
        $off = Amount::rounded(Length::of($error->absolute(), LengthUnit::Inch)->in($unit)->toFloat(), $unit);

        return match (true) {
            ! self::isWorth($error) => 'Your last seams take what they should: leave the guide where it is.',
            $error->isPositive() => sprintf('Your last seams take %s %s, %s %s too much: sew a thread or two scant, or move the guide half of that toward the needle.', $takes, $unit->value, $off, $unit->value),
            default => sprintf('Your last seams take %s %s, %s %s too little: move the guide half of that away from the needle.', $takes, $unit->value, $off, $unit->value),
        };
    }

    private static function ofItsGrowth(Logbook $log, LengthUnit $unit): string
    {
        $errors = self::errors($log);
        // What comes out right again needs no test.
        if (count($errors) < 2 * self::FEWEST_SIZES || ! self::isWorth(self::middle(array_slice($errors, -self::RECENT)))) {
            return '';
        }
        $half = intdiv(count($errors), 2);
        $growth = self::middle(array_slice($errors, -$half))->minus(self::middle(array_slice($errors, 0, $half)));
        if (! self::isWorth($growth)) {
            return '';
        }
        $by = Amount::rounded(Length::of($growth->absolute(), LengthUnit::Inch)->in($unit)->toFloat(), $unit);

        return sprintf('Your seams have become %s by %s %s since the first ones: make a seam test, the guide may have moved.', $growth->isPositive() ? 'wider' : 'narrower', $by, $unit->value);
    }

    private static function ofUnits(Logbook $log): string
    {
        $units = array_filter($log->sizes, static fn (LogEntry $entry): bool => $entry->measured?->isUnit === true);
        $small = array_filter($units, static fn (LogEntry $entry): bool => $entry->measured !== null && $entry->measured->off()->compareTo(Fraction::of(-1 * self::WORTH[0], self::WORTH[1])) < 0);

        return count($units) < self::FEWEST_SIZES || 2 * count($small) < count($units) ? '' : sprintf(
            '%s of %s first units were too small to be squared up: cut their pieces larger.',
            ucfirst(self::number(count($small))),
            self::number(count($units)),
        );
    }

    /** @return list<Fraction> inches that each seam took too much */
    private static function errors(Logbook $log): array
    {
        return array_map(static fn (array $one): Fraction => $one['takeUp']->inches->minus($one['ideal']->inches), $log->takeUps);
    }

    private static function isWorth(Fraction $error): bool
    {
        return $error->absolute()->compareTo(Fraction::of(...self::WORTH)) > 0;
    }

    /** @param list<Fraction> $values at least one */
    private static function middle(array $values): Fraction
    {
        usort($values, static fn (Fraction $a, Fraction $b): int => $a->compareTo($b));

        return $values[intdiv(count($values), 2)] ?? throw new \LogicException('Nothing lies in the middle of nothing.');
    }

    private static function number(int $number): string
    {
        return self::NUMBERS[$number] ?? (string) $number;
    }
}
