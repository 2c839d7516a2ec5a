<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Matching\Verdict;

/** What the quilter's seams do to the whole block, and what to do about it: two sentences from one reckoning. */
final readonly class SeamEffect
{
    /** @param string $remedy '' when nothing needs one */
    private function __construct(
        public string $words,
        public string $remedy,
    ) {}

    /**
     * @param Remedy         $remedy found for the same plan, seams and sizes as the drift
     * @param list<SeamName> $names  by join id
     */
    public static function of(Drift $drift, Remedy $remedy, Tolerance $tolerance, array $names): self
    {
        $off = [$drift->expected[0] - $drift->meant[0], $drift->expected[1] - $drift->meant[1]];
        $isOff = static fn (float $amount): bool => abs($amount) > 1e-9;
        $uneven = array_filter($drift->sheets, static fn (JoinSheet $sheet): bool => array_filter([$sheet->endsDiffer(), ...array_map(static fn (Mark $mark): float => $mark->miss ?? 0.0, $sheet->marks)], $isOff) !== []);
        if (array_filter($off, $isOff) === [] && $uneven === []) {
            return new self('With these seams everything comes out as it should.', '');
        }
        $edges = array_values(array_filter($uneven, static fn (JoinSheet $sheet): bool => $sheet->join->tie === null && $isOff($sheet->endsDiffer())));
        usort($edges, static fn (JoinSheet $a, JoinSheet $b): int => abs($b->endsDiffer()) <=> abs($a->endsDiffer()));

        return new self(
            self::sizeWords($drift, $off, $tolerance).($edges === [] ? '' : ' '.self::unevenEdges($edges[0], $names[$edges[0]->join->id], $drift)),
            RemedyWords::of($remedy, $names),
        );
    }

    /** @param array{float, float} $off how much too wide and too high the block comes out */
    private static function sizeWords(Drift $drift, array $off, Tolerance $tolerance): string
    {
        $unit = $drift->unit;
        $size = static fn (float $side): string => Amount::rounded($side, $unit).' '.$unit->value;
        $lacks = static fn (float $by): string => abs($by) < 1e-9 ? '' : sprintf(', %s %s too %s', Amount::rounded(abs($by), $unit), $unit->value, $by > 0 ? 'large' : 'small');
        $isAlike = abs($off[0] - $off[1]) < 1e-9 && abs($drift->meant[0] - $drift->meant[1]) < 1e-9;
        $words = $isAlike
            ? sprintf('The %s comes out %s both ways%s.', $drift->whole, $size($drift->expected[0]), abs($off[0]) < 1e-9 ? ', as it should' : $lacks($off[0]))
            : sprintf('The %s comes out %s wide%s and %s high%s.', $drift->whole, $size($drift->expected[0]), $lacks($off[0]) === '' ? '' : $lacks($off[0]).',', $size($drift->expected[1]), $lacks($off[1]));
        $isTrimmed = min($off) >= -1e-9 && max($off) > 1e-9 && $tolerance->verdict(max($off)) !== Verdict::Unpick;

        return $words.($isTrimmed ? ' That does no harm: it comes off when the '.$drift->whole.' is squared up.' : '');
    }

    /** "Row 2, of 5 pieces along the seam, comes out 1/8 in shorter than row 1, of 3 pieces." */
    private static function unevenEdges(JoinSheet $sheet, SeamName $name, Drift $drift): string
    {
        $sides = [
            [$name->left, count($sheet->edges[0])],
            [$name->right, count($sheet->edges[1])],
        ];
        [$short, $long] = $sheet->endsDiffer() < 0 ? $sides : array_reverse($sides);

        return sprintf(
            '%s, of %s along the seam, comes out %s %s shorter than %s, of %s.',
            ucfirst($short[0]),
            Words::counted($short[1], 'piece', 'pieces'),
            Amount::rounded(abs($sheet->endsDiffer()), $drift->unit),
            $drift->unit->value,
            $long[0],
            Words::counted($long[1], 'piece', 'pieces'),
        );
    }
}
