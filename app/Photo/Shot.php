<?php

declare(strict_types=1);

namespace App\Photo;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** How the stand-in camera takes a photograph; whatever is not asked for comes from the seed. */
final readonly class Shot
{
    public Randomizer $random;

    public float $tilt;

    public float $light;

    public float $jitter;

    /**
     * @param float|null $tilt   of the camera, in degrees; up to 20 from the seed
     * @param float|null $light  on the brightest side, beside the darkest; up to 2 from the seed
     * @param float|null $jitter of units, in degrees, with 1/24 in of shift to each; up to 3 from the seed
     */
    public function __construct(public int $seed, ?float $tilt = null, ?float $light = null, ?float $jitter = null)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        // Drawn in any case: a photograph of one seed stays the same else.
        $drawn = [$this->between(0, 20), $this->between(1, 2), $this->between(0, 3)];
        $this->tilt = $tilt ?? $drawn[0];
        $this->light = $light ?? $drawn[1];
        $this->jitter = $jitter ?? $drawn[2];
    }

    public function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->random->getInt(0, 1 << 30) / (1 << 30);
    }
}
