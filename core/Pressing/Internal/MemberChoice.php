<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\SelfTurn;

/**
 * What may be decided for one unit of a class: how it is turned, where that does not show, and in which pile it is pressed.
 *
 * @internal
 */
final readonly class MemberChoice
{
    /** @param SelfTurn|null $turn null leaves it as it was placed */
    public function __construct(
        public ?SelfTurn $turn,
        public int $pile,
    ) {}
}
