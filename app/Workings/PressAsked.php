<?php

declare(strict_types=1);

namespace App\Workings;

use KeenSeam\Core\Pressing\EqualParts;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rule;

/** How somebody asks for a block of a file to be pressed; what is null is as the file says, or as usual. */
final readonly class PressAsked
{
    /**
     * @param list<Lock> $locks
     * @param list<Rule> $rules
     */
    public function __construct(
        public ?PressStyle $style = null,
        public ?int $lump = null,
        public array $locks = [],
        public array $rules = [],
        public EqualParts $equalParts = EqualParts::Apart,
    ) {}
}
