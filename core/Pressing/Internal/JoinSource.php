<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\SelfTurn;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Pressing\PressDirection;

/**
 * From which variables a join's direction is read.
 *
 * @internal
 */
final readonly class JoinSource
{
    /**
     * @param int|null                         $turn    the variable that tells how the unit is turned
     * @param non-empty-list<array{int, bool}> $choices by the turn's value: direction variable, and whether sides are swapped
     */
    private function __construct(
        private ?int $turn,
        private array $choices,
    ) {}

    public static function free(int $variable): self
    {
        return new self(null, [[$variable, false]]);
    }

    /**
     * @param array<int, int> $variables by number of the join in its class
     * @param list<SelfTurn>  $selfTurns
     */
    public static function tied(int $join, array $variables, ?int $turn, array $selfTurns): self
    {
        $choices = [[$variables[$join], false]];
        foreach ($turn === null ? [] : $selfTurns as $selfTurn) {
            $origin = $selfTurn->origins[$join];
            $choices[] = [$variables[$origin['join']], $origin['swapped']];
        }

        return new self($turn, $choices);
    }

    /** The variable that alone decides, or null when the unit's turn has a say. */
    public function onlyVariable(): ?int
    {
        return $this->turn === null ? $this->choices[0][0] : null;
    }

    /** @return list<int> */
    public function variables(): array
    {
        return [...($this->turn === null ? [] : [$this->turn]), ...array_column($this->choices, 0)];
    }

    /**
     * @param array<int, int> $chosen value of each variable
     *
     * @return array{int, bool} the variable that decides while the unit is turned so, and whether sides are swapped
     */
    public function decision(array $chosen): array
    {
        return $this->choices[$this->turn === null ? 0 : $chosen[$this->turn]];
    }

    /**
     * @param list<list<PressDirection|Turn>> $values of each variable
     * @param array<int, int>                 $chosen value of each variable
     */
    public function direction(array $values, array $chosen): PressDirection
    {
        [$variable, $swapped] = $this->decision($chosen);
        $direction = $values[$variable][$chosen[$variable]];
        if (! $direction instanceof PressDirection) {
            throw new \LogicException('A join reads its direction from a direction variable.');
        }

        return $swapped ? $direction->swapped() : $direction;
    }
}
