<?php

declare(strict_types=1);

namespace App\House;

/** What becomes of sizes when they are switched to the other unit of length. */
enum Switching: string
{
    case Exactly = 'exactly';
    case Sensibly = 'sensibly';
}
