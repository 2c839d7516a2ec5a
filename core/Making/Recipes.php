<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Making\Recipes\CrossedQuarterSquares;
use KeenSeam\Core\Making\Recipes\CrossedSplitQuarters;
use KeenSeam\Core\Making\Recipes\CutAndSewnAgain;
use KeenSeam\Core\Making\Recipes\CutToShape;
use KeenSeam\Core\Making\Recipes\EightAtATime;
use KeenSeam\Core\Making\Recipes\FoundationSheets;
use KeenSeam\Core\Making\Recipes\FourGeeseAtOnce;
use KeenSeam\Core\Making\Recipes\FourRoundTheEdge;
use KeenSeam\Core\Making\Recipes\FromUnits;
use KeenSeam\Core\Making\Recipes\GooseFromHalfSquares;
use KeenSeam\Core\Making\Recipes\SewnAndFlipped;
use KeenSeam\Core\Making\Recipes\SteppedSplitQuarters;
use KeenSeam\Core\Making\Recipes\StripSets;
use KeenSeam\Core\Making\Recipes\TwoAtATime;

/** Every way there is to make a unit. */
final readonly class Recipes
{
    /**
     * In the order they are offered; equal ways stay in it.
     *
     * @var list<class-string<Recipe>>
     */
    private const ALL = [
        TwoAtATime::class,
        CrossedQuarterSquares::class,
        CrossedSplitQuarters::class,
        FourGeeseAtOnce::class,
        FromUnits::class,
        SewnAndFlipped::class,
        CutToShape::class,
        SteppedSplitQuarters::class,
        EightAtATime::class,
        FourRoundTheEdge::class,
        GooseFromHalfSquares::class,
        FoundationSheets::class,
        StripSets::class,
        CutAndSewnAgain::class,
    ];

    /** @return non-empty-list<Way> */
    public static function waysOf(UnitToMake $unit, Bench $bench): array
    {
        $ways = [];
        foreach (self::ALL as $recipe) {
            $best = null;
            foreach ($recipe::for($unit, $bench) as $one) {
                $way = Way::carriedOut($one, $unit, $bench->sizes);
                if ($way !== null && ($best === null || $way->own > $best->own)) {
                    $best = $way;
                }
            }
            if ($best !== null) {
                $ways[] = $best;
            }
        }

        return $ways === [] ? throw new \LogicException('Every unit can be cut to shape, or made from its units.') : $ways;
    }
}
