<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\PlacedLock;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rule;
use KeenSeam\Core\Pressing\RuleNotPossible;
use KeenSeam\Core\Pressing\Rules;

/**
 * The "plan" of a block file: what a quilter decided about sewing, pressing and making, all of it told by places on the
 * block, never by numbers. What fits nothing of the block any more is left out and said.
 */
final readonly class FilePlan
{
    /**
     * @param ChosenOrder|null           $order   null where the file says nothing; so are the others
     * @param list<Rule>                 $rules
     * @param list<PlacedLock>           $locks
     * @param array<string, int>         $piles   by a cell of the unit's class, like "1,2"
     * @param array<string, string>      $ways    key of the way by such a cell
     * @param array<string, Margin>      $margins by such a cell, or by a stack's letter
     * @param array<string, BuildChoice> $builds  by such a cell
     */
    public function __construct(
        public ?ChosenOrder $order = null,
        public ?PressStyle $style = null,
        public ?int $lump = null,
        public array $rules = [],
        public array $locks = [],
        public array $piles = [],
        public array $ways = [],
        public array $margins = [],
        public array $builds = [],
    ) {}

    /**
     * @param array<array-key, mixed> $plan that has the schema's shape
     *
     * @throws KeenSeamProblem when a rule or the order cannot be read
     */
    public static function read(array $plan): self
    {
        $order = $plan['order'] ?? null;
        $style = $plan['style'] ?? null;
        $lump = $plan['lump'] ?? null;
        $choices = static fn (string $field): array => is_array($plan[$field] ?? null) ? $plan[$field] : [];

        return new self(
            match (true) {
                is_array($order) => OwnOrder::of(is_string($order['name'] ?? null) ? $order['name'] : '', $order['sew'] ?? null),
                is_string($order) => Order::tryFrom($order),
                default => null,
            },
            is_string($style) ? PressStyle::tryFrom($style) : null,
            is_int($lump) ? $lump : null,
            array_map(Rule::parse(...), array_values(array_filter($choices('rules'), is_string(...)))),
            array_map(PlacedLock::fromArray(...), array_values(array_filter($choices('locks'), is_array(...)))),
            self::byCell(array_filter($choices('piles'), is_int(...))),
            self::byCell(array_filter($choices('ways'), is_string(...))),
            self::byCell(array_filter(array_map(static fn (mixed $margin): ?Margin => is_string($margin) ? Margin::tryFrom($margin) : null, $choices('margins')))),
            self::byCell(array_filter(array_map(static fn (mixed $build): ?BuildChoice => is_string($build) ? BuildChoice::tryFrom($build) : null, $choices('build')))),
        );
    }

    /** @return array<string, mixed> what read() reads as the same; only what differs from what is usual */
    public function toArray(): array
    {
        $texts = static fn (array $choices): array => array_map(static fn (\BackedEnum $choice): string => (string) $choice->value, $choices);

        return array_filter([
            'order' => $this->order instanceof OwnOrder ? ['name' => $this->order->name, 'sew' => $this->order->toArray()] : $this->order?->key(),
            'style' => $this->style?->value,
            'lump' => $this->lump,
            'rules' => array_map(static fn (Rule $rule): string => $rule->toText(), $this->rules),
            'locks' => array_map(static fn (PlacedLock $lock): array => $lock->toArray(), $this->locks),
            'piles' => $this->piles,
            'ways' => $this->ways,
            'margins' => $texts($this->margins),
            'build' => $texts($this->builds),
        ], static fn (mixed $field): bool => $field !== null && $field !== []);
    }

    /**
     * The block taken apart in an order, or by rows where that is not possible any more.
     *
     * @param \Closure(ChosenOrder): Construction $takeApart
     *
     * @return array{Construction, list<string>} with what was left out, in sentences
     *
     * @throws KeenSeamProblem when no order builds the block
     */
    public function takenApart(\Closure $takeApart): array
    {
        if ($this->order !== null && $this->order !== Order::Rows) {
            try {
                return [$takeApart($this->order), []];
            } catch (KeenSeamProblem $problem) {
                return [$takeApart(Order::Rows), [sprintf('The order "%s" that the file keeps was left out, and the block is sewn by rows: %s', $this->order->words(), $problem->getMessage())]];
            }
        }

        return [$takeApart(Order::Rows), []];
    }

    /**
     * Ways, builds and margins by the labels that the classes have in an order of sewing.
     *
     * @param CuttingPlan $plain of the block without any such choice
     *
     * @return array{array<string, string>, array<string, BuildChoice>, array<string, Margin>, array<string, Margin>, list<string>} ways, builds, margins of units and of stacks, and what was left out, in sentences
     */
    public function making(CuttingPlan $plain, SeamPlaces $places): array
    {
        $units = [];
        foreach ($plain->units as $made) {
            $units[$made->unit->label] = $made;
        }
        $dropped = [];
        $label = static function (string $cell, string $what) use ($places, $units, &$dropped): ?string {
            $label = self::labelAt($cell, $places);
            if ($label === null || ! isset($units[$label])) {
                $dropped[] = sprintf('The %s for the unit at %s was left out: no such unit is made there.', $what, $cell);

                return null;
            }

            return $label;
        };
        $ways = $builds = $margins = $stacks = [];
        foreach ($this->ways as $cell => $way) {
            $unit = $label($cell, 'way');
            $keys = $unit === null ? [] : array_map(static fn (Way $one): string => $one->key, $units[$unit]->ways);
            if ($unit !== null && in_array($way, $keys, true)) {
                $ways[$unit] = $way;
            } elseif ($unit !== null) {
                $dropped[] = sprintf('The way "%s" for the unit at %s was left out: it is made in one of these: %s.', mb_substr($way, 0, 40), $cell, implode(', ', $keys));
            }
        }
        foreach ($this->builds as $cell => $build) {
            $unit = $label($cell, 'build');
            $builds += $unit === null ? [] : [$unit => $build];
        }
        foreach ($this->margins as $cell => $margin) {
            if (preg_match('~^[a-z]{1,3}$~D', $cell) === 1) {
                $stacks[$cell] = $margin;
                continue;
            }
            $unit = $label($cell, 'margin');
            $margins += $unit === null ? [] : [$unit => $margin];
        }

        return [$ways, $builds, $margins, $stacks, $dropped];
    }

    /**
     * The locks and rules of the file under what was said before.
     *
     * @param list<Lock> $own that win over them
     *
     * @return array{list<Lock>, list<string>} all locks, and what was left out, in sentences
     */
    public function pressing(Construction $construction, SeamPlaces $places, array $own): array
    {
        [$locks, $dropped] = [[], []];
        $held = array_flip((new Locks($construction, $own))->held());
        foreach ($this->locks as $placed) {
            $lock = $placed->on($places, $construction);
            if ($lock === null) {
                $dropped[] = sprintf('The lock on %s was left out: no such seam is sewn.', $placed->words());
            } elseif (! isset($held[$lock->join])) {
                $locks[] = $lock;
            }
        }
        $rules = [];
        $all = $this->rules === [] ? null : new Rules($construction);
        foreach ($this->rules as $rule) {
            try {
                $all?->saidBy($rule);
                $rules[] = $rule;
            } catch (RuleNotPossible $problem) {
                $dropped[] = sprintf('The rule "%s" was left out: %s', $rule->toText(), $problem->getMessage());
            }
        }
        $locks = [...$own, ...$locks];

        return [$all === null ? $locks : $all->locks($rules, new Locks($construction, $locks)), $dropped];
    }

    /** @return array{list<int>, list<string>} indexes of the classes that are pressed in two piles, and what was left out */
    public function twoPiles(SeamPlaces $places): array
    {
        $classes = $dropped = [];
        foreach ($this->piles as $cell => $piles) {
            $class = $places->classAt($cell);
            if ($class === null) {
                $dropped[] = sprintf('The piles for the unit at %s were left out: no such unit is sewn there.', $cell);
            } elseif ($piles === 2) {
                $classes[] = $class;
            }
        }
        sort($classes);

        return [$classes, $dropped];
    }

    /** The label of the class whose unit lies in a cell, like "U3" or, of a known unit within a drawn one, "U3.1". */
    public static function labelAt(string $cell, SeamPlaces $places): ?string
    {
        $parts = explode('.', $cell);
        $class = $places->classAt($parts[0]);

        return $class === null ? null : 'U'.($class + 1).(isset($parts[1]) ? '.'.$parts[1] : '');
    }

    /** The other way round; null when the block has no class with that label. */
    public static function cellOf(string $label, SeamPlaces $places): ?string
    {
        $parts = explode('.', substr($label, 1));
        $cell = $places->cells[(int) $parts[0] - 1] ?? null;

        return $cell === null ? null : $cell.(isset($parts[1]) ? '.'.$parts[1] : '');
    }

    /**
     * @template T
     *
     * @param array<array-key, T> $choices
     *
     * @return array<string, T>
     */
    private static function byCell(array $choices): array
    {
        $named = [];
        foreach ($choices as $cell => $choice) {
            $named[(string) $cell] = $choice;
        }

        return $named;
    }
}
