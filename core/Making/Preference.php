<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/** What the quilter minds most when ways to make a unit are weighed. */
enum Preference: string
{
    case LeastCloth = 'least-cloth';
    case Accuracy = 'accuracy';
    case FewestCuts = 'fewest-cuts';

    public function words(): string
    {
        return match ($this) {
            self::LeastCloth => 'least cloth',
            self::Accuracy => 'accuracy first',
            self::FewestCuts => 'fewest cuts',
        };
    }
}
