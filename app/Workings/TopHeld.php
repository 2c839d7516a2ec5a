<?php

declare(strict_types=1);

namespace App\Workings;

use App\Models\ShelfTop;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\TopHolds;
use KeenSeam\Core\Pressing\TopPlan;

/**
 * What the quilter holds of a top of the shelf; seams are kept by where they lie, in the top or in the block.
 *
 * @phpstan-import-type Holds from ShelfTop
 */
final readonly class TopHeld
{
    /** @param Holds $kept */
    private function __construct(private array $kept) {}

    public static function of(ShelfTop $top): self
    {
        return new self($top->holds);
    }

    public function isAny(): bool
    {
        return $this->kept['places'] !== [] || $this->kept['piles'] !== [] || $this->kept['seams'] !== [];
    }

    /** For the planner: what is held of blocks that are not in the top any more says nothing. */
    public function holds(TopConstruction $placed): TopHolds
    {
        $pressed = [];
        foreach ($this->kept['piles'] as $pile => $seams) {
            $copy = self::copyOf($placed, self::madeOf($pile));
            $places = $copy === null ? null : SeamPlaces::of($copy->design);
            foreach ($seams as $place => $directions) {
                $join = $places?->joinAt($place);
                $said = array_map(PressDirection::from(...), $directions);
                if ($join !== null && $said !== []) {
                    $pressed[$pile][$join] = $said;
                }
            }
        }

        return new TopHolds($this->kept['places'], $pressed);
    }

    /** @return list<Lock> of seams between the blocks */
    public function locks(TopConstruction $placed): array
    {
        $places = $this->kept['seams'] === [] ? null : SeamPlaces::of($placed->construction);
        $locks = [];
        foreach ($this->kept['seams'] as $place => $directions) {
            $join = $places?->joinAt($place);
            if ($join !== null) {
                $locks[] = new Lock($join, ...array_map(PressDirection::from(...), $directions));
            }
        }

        return $locks;
    }

    /**
     * A place with its block held as it lies, or free again.
     *
     * @return Holds
     */
    public function withPlace(string $key, bool $isHeld): array
    {
        $places = array_values(array_diff($this->kept['places'], [$key]));

        return ['places' => $isHeld ? [...$places, $key] : $places] + $this->kept;
    }

    /**
     * A pile held as it is planned, or free again.
     *
     * @return Holds
     */
    public function withPile(TopPlan $plan, string $pile, bool $isHeld): array
    {
        $pressed = $isHeld ? self::plannedOf($plan, $pile) : [];

        return ['piles' => array_filter([$pile => $pressed] + $this->kept['piles'])] + $this->kept;
    }

    /**
     * One seam of a pile held the other way than it is planned; free again where it is held.
     *
     * @return Holds
     *
     * @throws JoinNotKnown
     */
    public function withSeamOfPile(TopPlan $plan, string $pile, int $join): array
    {
        $planned = self::plannedOf($plan, $pile);
        $place = array_keys($planned)[$join] ?? throw JoinNotKnown::of($join, $plan->sewn->construction);
        $held = $this->kept['piles'][$pile] ?? [];
        if (isset($held[$place])) {
            unset($held[$place]);
        } else {
            $held[$place] = array_map(static fn (string $direction): string => PressDirection::from($direction)->swapped()->value, $planned[$place]);
        }

        return ['piles' => array_filter([$pile => $held] + $this->kept['piles'])] + $this->kept;
    }

    /**
     * A seam between blocks held the other way than it is planned; free again where it is held.
     *
     * @return Holds
     *
     * @throws JoinNotKnown
     */
    public function withSeam(TopPlan $plan, int $join): array
    {
        JoinNotKnown::unlessIn($plan->sewn->construction, $join);
        $place = SeamPlaces::of($plan->sewn->construction)->places[$join];
        $seams = $this->kept['seams'];
        if (isset($seams[$place])) {
            unset($seams[$place]);
        } else {
            $seams[$place] = array_map(static fn (PressDirection $direction): string => $direction->swapped()->value, $plan->plan->pressing->directions[$join]);
        }

        return ['seams' => $seams] + $this->kept;
    }

    /** @return array<string, list<string>> how the seams of a pile's block are planned, by where they lie in it */
    private static function plannedOf(TopPlan $plan, string $pile): array
    {
        [$design, $directions] = $plan->pressedOf($pile) ?? throw JoinNotKnown::of(0, $plan->sewn->construction);
        $words = array_map(static fn (array $of): array => array_map(static fn (PressDirection $direction): string => $direction->value, $of), $directions);

        return array_combine(SeamPlaces::of($design)->places, $words);
    }

    /** What a pile is one of. */
    private static function madeOf(string $pile): string
    {
        return substr($pile, 0, (int) strrpos($pile, ' '));
    }

    private static function copyOf(TopConstruction $sewn, string $made): ?TopCopy
    {
        foreach ($sewn->copies as $copy) {
            if ($copy->made === $made) {
                return $copy;
            }
        }

        return null;
    }
}
