<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\PressDirection;

/**
 * What is to be decided, and what a quilter's locks leave of it.
 *
 * @template T of MemberChoice|TopChoice what else than a direction may be chosen
 *
 * @internal
 */
abstract class Variables
{
    /** @var list<non-empty-list<PressDirection|T>> values of each variable */
    public array $values = [];

    /** @var array<int, array{Lock, PressDirection}> the lock that holds a variable, and where, by variable */
    private array $held = [];

    /** @param non-empty-list<PressDirection|T> $values */
    protected function variable(array $values): int
    {
        $this->values[] = $values;

        return count($this->values) - 1;
    }

    /** @throws LockNotPossible when another lock holds it elsewhere */
    protected function hold(int $variable, PressDirection $wanted, Lock $lock): void
    {
        [$earlier, $said] = $this->held[$variable] ?? [$lock, $wanted];
        if ($said !== $wanted) {
            throw LockNotPossible::contradicting([$earlier, $lock]);
        }
        $this->held[$variable] = [$lock, $wanted];
        $this->values[$variable] = [$wanted];
    }

    /** A quilter may overrule the style: then the direction she asks for, and its other side, are there to be chosen. */
    protected function widen(int $variable, PressDirection $direction): void
    {
        if (isset($this->held[$variable]) || ! $this->values[$variable][0] instanceof PressDirection) {
            return;
        }
        foreach ([$direction, $direction->swapped()] as $wanted) {
            if (! in_array($wanted, $this->values[$variable], true)) {
                $this->values[$variable][] = $wanted;
            }
        }
    }
}
