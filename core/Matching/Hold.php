<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\Nesting;

/** What to do at a mark, how a miss is taken, and how much care a join wants. */
final class Hold
{
    public static function words(Mark $mark, JoinSheet $sheet): string
    {
        return match ($mark->kind) {
            MarkKind::Floating => 'Nothing to meet: keep the allowance lying its way.',
            MarkKind::Tip => self::isMiddle($mark, $sheet)
                ? 'Fold both in half and match the middles; sew a hair to the raw-edge side of the crossing threads.'
                : 'Sew a hair to the raw-edge side of the crossing threads, so that the tip stays whole; what that is off the allowance, the part loses in size.',
            MarkKind::Match => match (true) {
                $mark->left === MarkSide::Tip || $mark->right === MarkSide::Tip => 'Stab a pin straight through the tip and its partner; '.self::ridges($mark->nest),
                default => ucfirst(self::ridges($mark->nest)),
            },
        };
    }

    /**
     * Which allowances would be turned up under the foot, when the join is sewn from its start: those whose free edge
     * meets the foot first.
     */
    public static function feedWords(Mark $mark): string
    {
        $against = array_keys(array_filter(['first' => $mark->towardStart[0], 'second' => $mark->towardStart[1]], static fn (?bool $toward): bool => $toward === true));

        return match (count($against)) {
            0 => '',
            1 => sprintf('The %s part\'s allowance lies against the feed: hold it down as it passes under the foot.', $against[0]),
            default => 'Both allowances lie against the feed: sew this join from its other end, or hold them down.',
        };
    }

    /**
     * What else to know of a join: where to start, what hangs over, how to take a drawn line.
     *
     * @param bool $isFlipped whether it is the seam of a corner sewn and flipped
     *
     * @return list<string>
     */
    public static function notes(JoinSheet $sheet, bool $isFlipped, LengthUnit $unit): array
    {
        $notes = [];
        $overhangs = array_map(static fn (array $ends): float => abs($ends[0] - $ends[1]), $sheet->allowances);
        $places = array_keys(array_filter(['the start' => $overhangs[0] > 1e-9, 'the end' => $overhangs[1] > 1e-9]));
        if ($places !== []) {
            $notes[] = sprintf(
                'At %s one part hangs over the other by %s %s: the needle goes where the two raw edges make the V, one allowance in.',
                implode(' and ', $places),
                Amount::rounded(max($overhangs), $unit),
                $unit->value,
            );
        }
        if ($isFlipped) {
            $notes[] = 'Sew a hair to the waste side of the drawn line: on the line, the fold makes the corner too small. Open and look before you cut.';
        }
        if (array_filter($sheet->marks, static fn (Mark $mark): bool => $mark->left === MarkSide::Tip || $mark->right === MarkSide::Tip) !== []) {
            $notes[] = sprintf('You may sew through the crossing threads of the tips instead of the exact allowance: every %s %s they lie off it makes the part that much smaller or larger.', $unit === LengthUnit::Inch ? '1/64' : '0.5', $unit->value);
        }

        return $notes;
    }

    /** Higher for joins where more can go wrong: tips, ridges that do not lock, bias, and what is off already. */
    public static function risk(JoinSheet $sheet, Tolerance $tolerance): int
    {
        $risk = ['none' => 0, 'left' => 1, 'right' => 1, 'both' => 2][$sheet->bias] ?? 0;
        foreach ($sheet->marks as $mark) {
            $risk += $mark->left === MarkSide::Tip || $mark->right === MarkSide::Tip ? 2 : 0;
            $risk += $mark->kind === MarkKind::Match ? 2 : 0;
            $risk += $mark->nest === Nesting::Stacked ? 3 : ($mark->nest === Nesting::Lopsided || $mark->nest === Nesting::Flat ? 1 : 0);
            $risk += $mark->miss === null ? 0 : $tolerance->verdict($mark->miss)->risk();
        }

        return $risk;
    }

    private static function ridges(?Nesting $nest): string
    {
        return match ($nest) {
            Nesting::Nested => 'nest the ridges with the fingers and pin on both sides of the crossing.',
            Nesting::Stacked => 'the ridges lie on each other: pin through both seams, and slow down over the lump.',
            Nesting::Flat => 'both are open: stab a pin through both seams, then pin on both sides.',
            Nesting::Lopsided => 'one is open: lay the ridge against the open seam\'s fold and pin on both sides.',
            null => 'look that both come together, and pin.',
        };
    }

    private static function isMiddle(Mark $mark, JoinSheet $sheet): bool
    {
        $seam = $sheet->join->seam;

        return 2 * $seam->along($mark->at) === $seam->along($seam->to) + $seam->along($seam->from);
    }
}
