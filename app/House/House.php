<?php

declare(strict_types=1);

namespace App\House;

use App\Exceptions\ChoiceNotKnown;
use App\Models\Habit;
use Illuminate\Support\Facades\DB;
use KeenSeam\Core\Drawing\Paper;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** What the house does the same way over all blocks, unless a block says otherwise. */
final readonly class House
{
    /** Marks of the ruler to the inch or millimetre. */
    public const MARKS = [LengthUnit::Inch->value => [8, 16], LengthUnit::Millimetre->value => [1, 2]];

    private const ALLOWANCES = [LengthUnit::Inch->value => '1/4', LengthUnit::Millimetre->value => '6'];

    /**
     * @param array<string, int>    $marks      of the ruler, by unit of length
     * @param array<string, string> $allowances of new blocks, by unit of length
     */
    private function __construct(
        public LengthUnit $unit,
        public array $marks,
        public array $allowances,
        public Margin $margin,
        public Paper $paper,
    ) {}

    public static function now(): self
    {
        return self::of(Habit::query()->pluck('value', 'name')->all());
    }

    /** As it is before anybody chose. */
    public static function usual(): self
    {
        return self::of([]);
    }

    /** @param array<array-key, mixed> $kept */
    private static function of(array $kept): self
    {
        $text = static fn (string $name): string => is_string($kept[$name] ?? null) ? $kept[$name] : '';
        $unit = LengthUnit::tryFrom($text('units')) ?? LengthUnit::Inch;
        [$marks, $allowances] = [[], []];
        foreach (LengthUnit::cases() as $one) {
            $marks[$one->value] = (int) ($text('marks_'.$one->value) ?: self::MARKS[$one->value][0]);
            $allowances[$one->value] = $text('allowance_'.$one->value) ?: self::ALLOWANCES[$one->value];
        }

        return new self($unit, $marks, $allowances, Margin::tryFrom($text('margin')) ?? Margin::Larger, Paper::tryFrom($text('paper')) ?? Paper::usualWith($unit));
    }

    public function withMargin(Margin $margin): self
    {
        return new self($this->unit, $this->marks, $this->allowances, $margin, $this->paper);
    }

    public function allowance(LengthUnit $unit): Length
    {
        return Length::parse($this->allowances[$unit->value], $unit);
    }

    /** @return list<mixed> what the cutting follows from */
    public function cuttingSources(): array
    {
        return [$this->margin, $this->marks];
    }

    /**
     * Keeps what is given, all of it or nothing.
     *
     * @param array<array-key, mixed> $given
     *
     * @throws KeenSeamProblem
     */
    public static function keep(array $given): self
    {
        $kept = [];
        foreach ($given as $name => $value) {
            $kept[$name] = match (true) {
                $name === 'units' => self::choice($name, $value, LengthUnit::class),
                $name === 'margin' => self::choice($name, $value, Margin::class),
                $name === 'paper' => self::choice($name, $value, Paper::class),
                $name === 'marks_in', $name === 'marks_mm' => self::marks($name, $value),
                $name === 'allowance_in' => AllowanceNotUsable::unlessUsual($value, LengthUnit::Inch),
                $name === 'allowance_mm' => AllowanceNotUsable::unlessUsual($value, LengthUnit::Millimetre),
                default => throw ChoiceNotKnown::among((string) $name, ['units', 'marks_in', 'marks_mm', 'allowance_in', 'allowance_mm', 'margin', 'paper']),
            };
        }
        DB::transaction(static function () use ($kept): void {
            foreach ($kept as $name => $value) {
                Habit::query()->updateOrCreate(['name' => $name], ['value' => $value]);
            }
        });

        return self::now();
    }

    /** @return array<string, string|int> */
    public function toArray(): array
    {
        $told = ['units' => $this->unit->value, 'margin' => $this->margin->value, 'paper' => $this->paper->value];
        foreach (LengthUnit::cases() as $unit) {
            $told += ['marks_'.$unit->value => $this->marks[$unit->value], 'allowance_'.$unit->value => $this->allowances[$unit->value]];
        }

        return $told;
    }

    /** @param class-string<\BackedEnum> $choices */
    private static function choice(string $name, mixed $value, string $choices): string
    {
        return (string) ($choices::tryFrom(is_string($value) ? $value : '') ?? throw ChoiceNotKnown::of($name, $choices::cases()))->value;
    }

    private static function marks(string $name, mixed $value): string
    {
        $marks = self::MARKS[substr($name, 6)];

        return in_array($value, $marks, true) ? (string) $value : throw ChoiceNotKnown::among($name, array_map(strval(...), $marks));
    }
}
