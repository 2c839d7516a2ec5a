<?php

declare(strict_types=1);

namespace App\Workings;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Pressing\Pressing;

/** All that a key at the machine needs to know of the block: its steps, where its seams lie and how they are to be pressed. */
final readonly class Pedal
{
    /**
     * @param string                $plan    the same while every step and every seam's pressing is the same
     * @param non-empty-list<Step>  $steps
     * @param array<string, string> $plurals what the units of a class are called, by its label
     */
    public function __construct(
        public string $plan,
        public array $steps,
        public Pressing $pressing,
        public SeamPlaces $places,
        public array $plurals,
    ) {}

    /** @return array<string, string> */
    public static function plurals(Construction $construction): array
    {
        $plurals = [];
        foreach ($construction->classes as $class) {
            $plurals[$class->label()] = UnitName::ofClass($class, true);
        }

        return $plurals;
    }
}
