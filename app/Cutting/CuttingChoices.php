<?php

declare(strict_types=1);

namespace App\Cutting;

use App\Exceptions\ChoiceNotKnown;
use App\House\House;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\BuildChoice;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\Margins;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Making\Recipes\GooseFromHalfSquares;
use KeenSeam\Core\Making\Way;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthNotReadable;
use KeenSeam\Core\Measure\LengthUnit;

/** How a quilter wants a block cut, as it is kept with the block and sent by the screen. */
final readonly class CuttingChoices
{
    /**
     * @param array<string, string>      $ways    key of the chosen way by class
     * @param array<string, BuildChoice> $builds  by class
     * @param array<string, Margin>      $margins by class
     * @param array<string, Margin>      $stacks  margins by letter
     * @param string|null                $width   of the fabric, as it was typed
     */
    private function __construct(
        public int $blocks,
        public Preference $preference,
        public array $ways,
        public array $builds,
        public array $margins,
        public array $stacks,
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
        // Shelves of before kept whether a unit is cut larger.
        $before = array_map(static fn (bool $isOversize): string => $isOversize ? Margin::Larger->value : Margin::Exact->value, array_filter(is_array($kept['isOversize'] ?? null) ? $kept['isOversize'] : [], is_bool(...)));

        return new self(
            is_int($blocks) && $blocks >= 1 && $blocks <= CutQuestion::MOST_BLOCKS ? $blocks : throw CutNotPossible::blocks(CutQuestion::MOST_BLOCKS),
            Preference::tryFrom(is_string($preference) ? $preference : '') ?? throw ChoiceNotKnown::of('preference', Preference::cases()),
            array_filter(is_array($kept['ways'] ?? null) ? $kept['ways'] : [], is_string(...)),
            self::choices('builds', $kept['builds'] ?? [], BuildChoice::class),
            self::choices('margins', $kept['margins'] ?? $before, Margin::class),
            self::choices('stacks', $kept['stacks'] ?? [], Margin::class),
            is_string($width) && trim($width) !== '' ? $width : null,
            is_int($marks) ? $marks : null,
        );
    }

    /** Without what was chosen for a unit or a stack which is another one by now. */
    public function fitting(CuttingPlan $plan): self
    {
        $ways = $builds = $margins = [];
        foreach ($plan->units as $made) {
            $label = $made->unit->label;
            $chosen = $this->ways[$label] ?? null;
            if ($chosen !== null && in_array($chosen, array_map(static fn (Way $way): string => $way->key, $made->ways), true)) {
                $ways[$label] = $chosen;
            }
            if (isset($this->builds[$label])) {
                $builds[$label] = $this->builds[$label];
            }
            if (isset($this->margins[$label])) {
                $margins[$label] = $this->margins[$label];
            }
        }

        return new self($this->blocks, $this->preference, $ways, $builds, $margins, $this->stacks, $this->width, $this->marks);
    }

    /** What is asked of the whole block, whatever its units are. */
    public function withoutUnits(): self
    {
        return new self($this->blocks, $this->preference, [], [], [], [], $this->width, $this->marks);
    }

    /** Whether the block may be sewn along other seams than it is drawn with. */
    public function mayChangeSeams(): bool
    {
        return in_array(GooseFromHalfSquares::KEY, $this->ways, true) || in_array(BuildChoice::AsTheyCome, $this->builds, true);
    }

    /** @throws KeenSeamProblem when the width is no length, or the ruler has no such marks */
    public function question(LengthUnit $unit, House $house): CutQuestion
    {
        if ($this->marks !== null && ! in_array($this->marks, House::MARKS[$unit->value], true)) {
            throw ChoiceNotKnown::among('marks', array_map(strval(...), House::MARKS[$unit->value]));
        }
        try {
            $width = $this->width === null ? null : Length::parse($this->width, $unit);
        } catch (LengthNotReadable $problem) {
            throw $problem->at('/width');
        }
        if ($width !== null && ! $width->isPositive()) {
            throw ChoiceNotKnown::count('width');
        }

        return new CutQuestion($this->blocks, $this->preference, $this->ways, new Margins($house->margin, true, $this->margins, $this->stacks), $this->marks ?? $house->marks[$unit->value], $width?->in($unit), $this->builds);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $told = static fn (array $choices): array|\stdClass => $choices === [] ? new \stdClass() : array_map(static fn (string|\BackedEnum $one): string => $one instanceof \BackedEnum ? (string) $one->value : $one, $choices);

        return [
            'blocks' => $this->blocks,
            'preference' => $this->preference->value,
            'ways' => $told($this->ways),
            'builds' => $told($this->builds),
            'margins' => $told($this->margins),
            'stacks' => $told($this->stacks),
            'width' => $this->width,
            'marks' => $this->marks,
        ];
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $choices
     *
     * @return array<string, T>
     *
     * @throws ChoiceNotKnown
     */
    private static function choices(string $name, mixed $given, string $choices): array
    {
        $read = [];
        foreach (is_array($given) ? $given : [] as $for => $one) {
            $read[(string) $for] = $choices::tryFrom(is_string($one) ? $one : '') ?? throw ChoiceNotKnown::of($name, $choices::cases());
        }

        return $read;
    }
}
