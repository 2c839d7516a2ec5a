<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Sheets;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Drawing\Area;
use KeenSeam\Core\Drawing\Fitted;
use KeenSeam\Core\Drawing\Pages;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\SeamRulerSketch;
use KeenSeam\Core\Drawing\Typesetter;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\Hold;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\PressingPlan;

/** The rulers of the joins that want care, those that want most of it first; what is sewn alike is told once. */
final readonly class JoinsSheet
{
    /** A join with nothing to meet and straight grain has no risk; a single bias edge wants no ruler. */
    private const CARE = 2;

    private const NAMED = 6;

    private const PAST = 2.4;

    private LengthUnit $unit;

    public function __construct(private PressingPlan $plan, private Drift $drift, private Tolerance $tolerance, private Typesetter $setter, private Palette $palette)
    {
        $this->unit = $plan->construction->face->block->unit;
    }

    /** @param (\Closure(Join): bool)|null $isTold which joins are looked at; all if null */
    public function onto(Pages $pages, ?\Closure $isTold = null): void
    {
        $names = SeamName::all($this->plan->construction);
        [$rulers, $titles, $risks] = [[], [], []];
        foreach ($this->drift->sheets as $sheet) {
            $name = $names[$sheet->join->id];
            $isFirst = min([$sheet->join->id, ...$name->pressedToo]) === $sheet->join->id;
            $risk = Hold::risk($sheet, $this->tolerance);
            if (! $isFirst || $risk < self::CARE || ($isTold !== null && ! $isTold($sheet->join))) {
                continue;
            }
            $alike = serialize([$sheet->real, $sheet->edges, $sheet->ends, array_map(static fn (Mark $mark): array => [$mark->fromEdge, $mark->left, $mark->right, $mark->kind, $mark->nest, $mark->towardStart], $sheet->marks)]);
            $titles[$alike][] = $name->title.(count($name->pressedToo) > 1 ? sprintf(' (%d of them)', count($name->pressedToo)) : '');
            $rulers[$alike] ??= [$sheet, [$name->left, $name->right]];
            $risks[$alike] = $risk;
        }
        arsort($risks);
        $pages->begin('Joins that want care', 60);
        $pages->add($this->setter->paragraph(
            $risks === [] ? 'No join here has seams or points to meet: sew them as they come.' : 'The two edges lie on each other, the left or upper part above. Figures below a ruler are measured on that part from its raw edge at the start.',
            $pages->width,
            Typesetter::SMALL,
            colour: Palette::SOFT,
        ), 1.5);
        foreach (array_keys($risks) as $alike) {
            [$sheet, $parts] = $rulers[$alike];
            $pages->add($this->ruler($sheet, $parts, $titles[$alike], $pages->width), 5);
            $does = $this->does($sheet, $parts);
            $across = count($does) === 1 ? 1 : 2;
            $pages->columns(array_map(fn (string $words, string $places): Fitted => $this->setter->paragraph([["At $places: ", true], [$words, false]], $pages->column($across)), array_keys($does), $does), $across, 0.8);
        }
    }

    /**
     * @param array{string, string}  $parts
     * @param non-empty-list<string> $titles of all that are sewn so
     */
    private function ruler(JoinSheet $sheet, array $parts, array $titles, float $width): Fitted
    {
        $more = count($titles) - self::NAMED;
        $title = implode('; ', array_unique($more > 0 ? [...array_slice($titles, 0, self::NAMED), $more === 1 ? '1 more' : "$more more"] : $titles));
        $tie = $sheet->join->tie;
        $isFlipped = $tie !== null && $this->plan->construction->classes[$tie->unitClass]->members[0]->cell->unit instanceof FlippedCornersUnit;
        $says = [...array_column(Hold::manner($sheet, $this->unit, $parts), 'text'), ...Hold::notes($sheet, $isFlipped, $this->unit, $parts)];

        return Fitted::below(
            1.2,
            new Fitted(0.3, [Area::rectangle(0, 0, $width, 0.25, Palette::INK)]),
            $this->setter->paragraph([[ucfirst($title), true], [sprintf(': %s above, %s below, %s %s finished', $parts[0], $parts[1], Amount::rounded($sheet->finished, $this->unit), $this->unit->value), false]], $width),
            // Marks at its very ends reach a little past them.
            Fitted::beside(new Fitted(0, []), self::PAST, SeamRulerSketch::of($sheet, $this->palette, $this->setter, $this->unit, min($width - 2 * self::PAST, max(70.0, $this->scaleTo($sheet))))),
            $this->setter->paragraph(ucfirst(implode(' ', $says)), $width),
        );
    }

    /** At full size where that fits. */
    private function scaleTo(JoinSheet $sheet): float
    {
        return (max($sheet->real) + max($sheet->ends[0]->reach) + max($sheet->ends[1]->reach)) * ($this->unit === LengthUnit::Inch ? 25.4 : 1.0);
    }

    /**
     * @param array{string, string} $parts
     *
     * @return array<string, string> what is done, and at which places
     */
    private function does(JoinSheet $sheet, array $parts): array
    {
        $places = [];
        foreach ($sheet->marks as $mark) {
            [$left, $right] = array_map(fn (float $place): string => Amount::rounded($place, $this->unit), $mark->fromEdge);
            $words = implode(' ', array_filter([Hold::words($mark, $sheet), Hold::feedWords($mark, $parts), Hold::missWords($mark, $this->tolerance, $this->unit)], static fn (string $words): bool => $words !== ''));
            $places[$words][] = $left === $right ? $left : "$left above and $right below";
        }

        return array_map(static fn (array $at): string => implode(', ', $at), $places);
    }
}
