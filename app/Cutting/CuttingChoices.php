<?php

declare(strict_types=1);

namespace App\Cutting;

use App\Exceptions\ChoiceNotKnown;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Making\Way;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** How a quilter wants a block cut, as it is kept with the block and sent by the screen. */
final readonly class CuttingChoices
{
    /** Marks of the ruler to the inch or millimetre. */
    private const MARKS = [LengthUnit::Inch->value => [8, 16], LengthUnit::Millimetre->value => [1, 2]];

    /**
     * @param array<string, string> $ways       key of the chosen way by class
     * @param array<string, bool>   $isOversize by class
     * @param string|null           $width      of the fabric, as it was typed
     */
    private function __construct(
        public int $blocks,
        public Preference $preference,
        public array $ways,
        public array $isOversize,
        public ?string $width,
        public ?int $marks,
    ) {}

    /**
     * @param array<array-key, mixed> $kept as toArray() gave it, or what is to be changed of it
     *
     * @throws KeenSeamProblem
     */
    public static function from(array $kept): self
    {
        $blocks = $kept['blocks'] ?? 1;
        $preference = $kept['preference'] ?? Preference::LeastCloth->value;
        $width = $kept['width'] ?? null;
        $marks = $kept['marks'] ?? null;

        return new self(
            is_int($blocks) && $blocks >= 1 && $blocks <= CutQuestion::MOST_BLOCKS ? $blocks : throw CutNotPossible::blocks(CutQuestion::MOST_BLOCKS),
            Preference::tryFrom(is_string($preference) ? $preference : '') ?? throw ChoiceNotKnown::of('preference', Preference::cases()),
            array_filter(is_array($kept['ways'] ?? null) ? $kept['ways'] : [], is_string(...)),
            array_filter(is_array($kept['isOversize'] ?? null) ? $kept['isOversize'] : [], is_bool(...)),
            is_string($width) && trim($width) !== '' ? $width : null,
            is_int($marks) ? $marks : null,
        );
    }

    /** Without ways that were chosen for a unit which is another one by now. */
    public function fitting(CuttingPlan $plan): self
    {
        $ways = [];
        foreach ($plan->units as $made) {
            $chosen = $this->ways[$made->unit->label] ?? null;
            if ($chosen !== null && in_array($chosen, array_map(static fn (Way $way): string => $way->key, $made->ways), true)) {
                $ways[$made->unit->label] = $chosen;
            }
        }

        return new self($this->blocks, $this->preference, $ways, $this->isOversize, $this->width, $this->marks);
    }

    public function withoutWays(): self
    {
        return new self($this->blocks, $this->preference, [], $this->isOversize, $this->width, $this->marks);
    }

    /** @throws KeenSeamProblem when the width is no length, or the ruler has no such marks */
    public function question(LengthUnit $unit): CutQuestion
    {
        if ($this->marks !== null && ! in_array($this->marks, self::MARKS[$unit->value], true)) {
            throw ChoiceNotKnown::among('marks', array_map(strval(...), self::MARKS[$unit->value]));
        }
        $width = $this->width === null ? null : Length::parse($this->width, $unit);
        if ($width !== null && ! $width->isPositive()) {
            throw ChoiceNotKnown::count('width');
        }

        return new CutQuestion($this->blocks, $this->preference, $this->ways, $this->isOversize, $this->marks, $width?->in($unit));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'blocks' => $this->blocks,
            'preference' => $this->preference->value,
            'ways' => $this->ways === [] ? new \stdClass() : $this->ways,
            'isOversize' => $this->isOversize === [] ? new \stdClass() : $this->isOversize,
            'width' => $this->width,
            'marks' => $this->marks,
        ];
    }
}
