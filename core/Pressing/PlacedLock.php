<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthNotReadable;

/**
 * A lock told by where its seam lies and how it lies on the face, so that it outlives another size, another order and
 * whatever joins are numbered by.
 */
final readonly class PlacedLock
{
    /**
     * @param string       $place as SeamPlaces tells it
     * @param list<string> $press left, right, up, down or open, one for all of the seam or one a segment from the end named first
     */
    private function __construct(
        public string $place,
        public array $press,
    ) {}

    public static function of(Lock $lock, SeamPlaces $places): self
    {
        $words = array_map(static fn (PressDirection $direction): string => $direction->onFace($places->leftOf($lock->join)), $lock->directions);

        return new self($places->places[$lock->join], $places->isTurned($lock->join) ? array_reverse($words) : $words);
    }

    /** @param array<array-key, mixed> $kept as toArray() gave it; what is no such thing fits no seam */
    public static function fromArray(array $kept): self
    {
        $ends = is_array($kept['seam'] ?? null) ? $kept['seam'] : [];
        $press = is_array($kept['press'] ?? null) ? $kept['press'] : [];

        return new self(
            implode(' ', array_map(static fn (mixed $end): string => implode(',', array_map(self::share(...), array_filter((array) $end, is_string(...)))), $ends)),
            array_values(array_filter($press, is_string(...))),
        );
    }

    /** @return Lock|null null where no seam lies there, or not with so many stretches, or not so that it could be pressed that way */
    public function on(SeamPlaces $places, Construction $construction): ?Lock
    {
        $join = $places->joinAt($this->place);
        if ($join === null) {
            return null;
        }
        // Named from its other end, its stretches count the other way round.
        $isTurned = $places->isTurned($join) !== ($places->places[$join] !== $this->place);
        $directions = [];
        foreach ($isTurned ? array_reverse($this->press) : $this->press as $word) {
            $direction = PressDirection::fromFace($word, $places->leftOf($join));
            if ($direction === null) {
                return null;
            }
            $directions[] = $direction;
        }
        if ($directions === []) {
            return null;
        }
        $lock = new Lock($join, ...$directions);
        try {
            $lock->joinIn($construction);
        } catch (KeenSeamProblem) {
            return null;
        }

        return $lock;
    }

    /** @return array{seam: list<list<string>>, press: list<string>} */
    public function toArray(): array
    {
        return ['seam' => array_map(static fn (string $end): array => explode(',', $end), explode(' ', $this->place)), 'press' => $this->press];
    }

    /** However the fraction was written. */
    private static function share(string $text): string
    {
        try {
            return Length::parse($text)->inches->toText();
        } catch (LengthNotReadable) {
            return $text;
        }
    }

    public function words(): string
    {
        return sprintf('the seam from %s', strtr($this->place, [',' => ', ', ' ' => ' to ']));
    }
}
