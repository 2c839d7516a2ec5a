<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Pressing\PressDirection;

/**
 * From which variables the direction of a segment is read.
 *
 * @internal
 */
final readonly class SlotSource
{
    /**
     * @param int|null                         $choice  the variable that tells what was chosen for the unit
     * @param non-empty-list<array{int, bool}> $origins by the choice's value: direction variable, and whether sides are swapped
     */
    public function __construct(
        private ?int $choice,
        private array $origins,
    ) {}

    /** The same among variables of which so many come before. */
    public function after(int $variables): self
    {
        return new self(
            $this->choice === null ? null : $this->choice + $variables,
            array_map(static fn (array $origin): array => [$origin[0] + $variables, $origin[1]], $this->origins),
        );
    }

    /** @return array{int, bool}|null the variable that alone decides, and whether sides are swapped; null when the unit's choice has a say */
    public function only(): ?array
    {
        return $this->choice === null ? $this->origins[0] : null;
    }

    /** @return list<int> */
    public function variables(): array
    {
        return [...($this->choice === null ? [] : [$this->choice]), ...array_column($this->origins, 0)];
    }

    /** @param array<int, int> $places of the variables, by which the text tells of them */
    public function nameBy(array $places): string
    {
        $name = $this->choice === null ? '' : $places[$this->choice].':';
        foreach ($this->origins as [$variable, $swapped]) {
            $name .= $places[$variable].($swapped ? 's' : '').',';
        }

        return $name;
    }

    /**
     * @param array<int, int> $chosen value of each variable
     *
     * @return array{int, bool} the variable that decides as things are chosen, and whether sides are swapped
     */
    public function decision(array $chosen): array
    {
        return $this->origins[$this->choice === null ? 0 : $chosen[$this->choice]];
    }

    /**
     * @param list<list<PressDirection|MemberChoice>> $values of each variable
     * @param array<int, int>                         $chosen value of each variable
     */
    public function direction(array $values, array $chosen): PressDirection
    {
        [$variable, $swapped] = $this->decision($chosen);
        $direction = $values[$variable][$chosen[$variable]];
        if (! $direction instanceof PressDirection) {
            throw new \LogicException('A seam reads its direction from a direction variable.');
        }

        return $swapped ? $direction->swapped() : $direction;
    }
}
