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
            MarkKind::Floating => 'Nothing to meet, so where it falls does no harm: keep the allowance lying its way, and do not stretch it.',
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
     *
     * @param array{string, string} $parts what the left and the right part are called
     */
    public static function feedWords(Mark $mark, array $parts): string
    {
        $against = array_keys(array_filter($mark->towardStart, static fn (?bool $toward): bool => $toward === true));

        return match (count($against)) {
            0 => '',
            1 => sprintf('The allowance of %s lies against the feed: hold it down as it passes under the foot.', $parts[$against[0]]),
            default => 'Both allowances lie against the feed: sew this join from its other end, or hold them down.',
        };
    }

    /**
     * How the two parts go under the needle: which lies on top, what stretches, what of it all has to meet.
     *
     * @param array{string, string} $parts what the left and the right part are called
     *
     * @return list<array{text: string, wants: 'care'|'work'|'nothing'}> wants: whether it is to be heeded, needs work, or is only good to know
     */
    public static function manner(JoinSheet $sheet, LengthUnit $unit, array $parts): array
    {
        $stretches = static fn (string $part): string => " The edge of $part is bias: pin it, and let the feed take it without pulling.";
        $says = [['text' => match ($sheet->up) {
            'left' => $parts[0].' on top: more tips and seams to steer by.',
            'right' => $parts[1].' on top: more tips and seams to steer by.',
            default => 'Either part may lie on top.',
        }.match ($sheet->bias) {
            'left' => $stretches($parts[0]),
            'right' => $stretches($parts[1]),
            'both' => ' Both edges are bias: handle them little, pin, do not pull.',
            default => '',
        }, 'wants' => 'care']];
        $matching = count(array_filter($sheet->marks, static fn (Mark $mark): bool => $mark->kind === MarkKind::Match));
        if ($sheet->marks === []) {
            $says[] = ['text' => 'Nothing to meet here but the two ends.', 'wants' => 'care'];
        } elseif ($matching > 0 && $matching < count($sheet->marks)) {
            $says[] = ['text' => sprintf('Match %s; the rest lies on plain cloth and does no harm.', $matching === 1 ? '1 place' : $matching.' places'), 'wants' => 'nothing'];
        }
        $differ = Amount::rounded(abs($sheet->endsDiffer()), $unit);
        if ($differ !== '0') {
            $says[] = ['text' => "The edges differ by $differ {$unit->value} from corner to corner: pin the corners of both ends on each other and ease between.", 'wants' => 'work'];
        }

        return $says;
    }

    /** What a miss asks for; '' where there is none, or it is left alone. */
    public static function missWords(Mark $mark, Tolerance $tolerance, LengthUnit $unit): string
    {
        $misses = static fn (float $miss): string => 'Misses by '.Amount::rounded(abs($miss), $unit).': ';

        return $mark->miss === null ? '' : match ($tolerance->verdict($mark->miss)) {
            Verdict::Leave => '',
            Verdict::Ease => $misses($mark->miss).'ease it.',
            Verdict::Unpick => $misses($mark->miss).'unpick a seam before it, or make its unit again.',
        };
    }

    /**
     * What else to know of a join: how to lay its ends, which goes in first, what is clipped after it, how to take a drawn line.
     *
     * @param bool                  $isFlipped whether it is the seam of a corner sewn and flipped
     * @param array{string, string} $parts     what the left and the right part are called
     *
     * @return list<string>
     */
    public static function notes(JoinSheet $sheet, bool $isFlipped, LengthUnit $unit, array $parts): array
    {
        $notes = self::endNotes($sheet, $unit, $parts);
        if ($isFlipped) {
            $notes[] = 'Sew a hair to the waste side of the drawn line: on the line, the fold makes the corner too small. Open and look before you cut.';
        }
        if (array_filter($sheet->marks, static fn (Mark $mark): bool => $mark->left === MarkSide::Tip || $mark->right === MarkSide::Tip) !== []) {
            $notes[] = sprintf('You may sew through the crossing threads of the tips instead of the exact allowance: every %s %s they lie off it makes the part that much smaller or larger.', $unit === LengthUnit::Inch ? '1/64' : '0.5', $unit->value);
        }

        return $notes;
    }

    /**
     * Nothing where both ends are square.
     *
     * @param array{string, string} $parts
     *
     * @return list<string>
     */
    private static function endNotes(JoinSheet $sheet, LengthUnit $unit, array $parts): array
    {
        if (array_filter($sheet->ends, static fn (JoinEnd $end): bool => $end->sharpness() < M_PI_2 - 1e-9) === []) {
            return [];
        }
        $names = self::endNames($sheet);
        $lays = array_map(static fn (JoinEnd $end): EndLay => $end->lay(), $sheet->ends);
        $hangsOver = static fn (int $i): string => sprintf('%s hangs over by %s %s', $parts[$sheet->ends[$i]->longer()], Amount::rounded($sheet->ends[$i]->overhang(), $unit), $unit->value);
        $notes = [];
        if ($lays === [EndLay::Level, EndLay::Level]) {
            $notes[] = 'Both ends are level: lay them so.';
        } elseif ($lays === [EndLay::Marked, EndLay::Marked]) {
            $notes[] = sprintf('Neither end lines up: at the %s %s, at the %s %s. Mark the corners one allowance in, on both parts, and lay them on each other.', $names[0], $hangsOver(0), $names[1], $hangsOver(1));
        } else {
            foreach ([0, 1] as $i) {
                $notes[] = match ($lays[$i]) {
                    EndLay::Level => sprintf('At the %s both are level: lay them so.', $names[$i]),
                    EndLay::Vee => sprintf('At the %s %s: the needle goes through the V where the two raw edges cross.', $names[$i], $hangsOver($i)),
                    EndLay::Marked => sprintf('At the %s %s and nothing lines up: lay the parts by the other end.', $names[$i], $hangsOver($i)),
                };
            }
        }

        return [...$notes, ...self::feedNotes($sheet), ...self::earNotes($sheet, $names)];
    }

    /** @return list<string> which end goes in first; nothing where they are alike */
    private static function feedNotes(JoinSheet $sheet): array
    {
        return match (true) {
            $sheet->wantsLeader() => ['Both ends are sharp: begin on a scrap of leader cloth.'],
            $sheet->firstIn() !== null => [sprintf('The %s goes in first: it is the blunter one.', self::endNames($sheet)[$sheet->firstIn()])],
            default => [],
        };
    }

    /**
     * The little to know at each of many small seams: which part lies on top, where that helps, and which end goes in first.
     *
     * @param array{string, string} $parts         what the left and the right part are called
     * @param bool                  $startsOnScrap no leader is wanted where a chain begins on one
     *
     * @return list<string>
     */
    public static function feed(JoinSheet $sheet, array $parts, bool $startsOnScrap = false): array
    {
        $top = match ($sheet->up) {
            'left' => $parts[0],
            'right' => $parts[1],
            default => null,
        };

        return [...$top === null ? [] : [sprintf('%s on top: there you see the threads to steer by.', ucfirst($top))], ...$startsOnScrap && $sheet->wantsLeader() ? [] : self::feedNotes($sheet)];
    }

    /**
     * @param array{string, string} $names
     *
     * @return list<string>
     */
    private static function earNotes(JoinSheet $sheet, array $names): array
    {
        $isSquare = static fn (JoinEnd $end): bool => abs($end->angles[0] - M_PI_2) < 1e-9 && abs($end->angles[1] - M_PI_2) < 1e-9;
        $clipped = $staying = [];
        foreach ($sheet->ends as $i => $end) {
            if ($end->hasEar() && ! $isSquare($end)) {
                $end->mustStay() ? $staying[] = $names[$i] : $clipped[] = $names[$i];
            }
        }
        $at = static fn (array $ends): string => count($ends) === 2 ? 'both ends' : 'the '.implode('', $ends);
        $notes = [];
        if ($clipped !== []) {
            $notes[] = sprintf('Once it is open, the ear at %s may be clipped.', $at($clipped));
        }
        if ($staying !== []) {
            $notes[] = sprintf('What hangs over at %s must stay: it becomes the allowance of the point there.', $at($staying));
        }

        return str_replace('the ear at both ends', 'the ears at both ends', $notes);
    }

    /** @return array{string, string} what the start and the end of the join are called, as it lies on the face */
    public static function endNames(JoinSheet $sheet): array
    {
        return $sheet->join->seam->from->y === $sheet->join->seam->to->y ? ['left end', 'right end'] : ['upper end', 'lower end'];
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
