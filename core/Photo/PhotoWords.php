<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;

/** What a photograph tells, as it is said at the table. */
final class PhotoWords
{
    /**
     * What to do with a unit.
     *
     * @param Placement $seen  how it lies on the table
     * @param Placement $drawn how it should
     */
    public static function of(Verdict $verdict, Placement $seen, Placement $drawn): string
    {
        return match ($verdict) {
            Verdict::AsDrawn => 'Lies as it is drawn.',
            Verdict::Turned => sprintf('Turn it %s.', self::turn(Turn::ofQuarters($drawn->turn->quarters() - $seen->turn->quarters()))),
            Verdict::Mirrored => 'It is of the other hand: no turn mends it. Take one of the right hand.',
            Verdict::AnotherUnit => 'Another unit lies here than is drawn.',
            Verdict::Unsure => 'Look at it yourself: the picture does not tell.',
        };
    }

    /** @param list<Verdict> $verdicts of all units */
    public static function summary(array $verdicts): string
    {
        $wrong = count(array_filter($verdicts, static fn (Verdict $one): bool => $one->isWrong()));
        $unsure = count(array_filter($verdicts, static fn (Verdict $one): bool => $one === Verdict::Unsure));
        $units = static fn (int $count): string => $count === 1 ? '1 unit' : "$count units";

        return match (true) {
            $verdicts === [] => '',
            $wrong + $unsure === 0 => count($verdicts) === 1 ? 'It looks as it is drawn.' : sprintf('All %s look as they are drawn.', $units(count($verdicts))),
            default => implode(' ', array_filter([
                $wrong === 0 ? '' : sprintf('%s %s not lie as drawn.', $units($wrong), $wrong === 1 ? 'does' : 'do'),
                $unsure === 0 ? '' : sprintf('Of %s the picture does not tell.', $units($unsure)),
            ])),
        };
    }

    public static function alike(string $one, string $other): string
    {
        return sprintf('%s and %s are hardly told apart in grey: from across the room they are one.', $one, $other);
    }

    private static function turn(Turn $turn): string
    {
        return match ($turn) {
            Turn::Quarter => 'a quarter to the right',
            Turn::Half => 'half round',
            Turn::ThreeQuarters => 'a quarter to the left',
            Turn::None => 'until it looks like the drawing',
        };
    }
}
