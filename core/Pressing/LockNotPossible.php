<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Listed;

final class LockNotPossible extends \InvalidArgumentException implements KeenSeamProblem
{
    /** Of many locks that contradict each other the first are named. */
    private const NAMED = 4;

    /**
     * @param Point|null                 $crossing where the allowances would have to turn like a wheel and cannot; null when it is about something else
     * @param array<int, PressDirection> $needs    how the seams that meet there would have to lie, by join
     */
    private function __construct(
        string $message,
        public readonly ?Point $crossing = null,
        public readonly array $needs = [],
    ) {
        parent::__construct($message);
    }

    public static function notReadable(string $given): self
    {
        return new self(sprintf('"%s" is not a lock. Write a join\'s number and left, right or open, like 12:left, or a word for each of its stretches, like 12:left,right.', mb_substr($given, 0, 40)));
    }

    /** @param list<Lock> $locks */
    public static function contradicting(array $locks): self
    {
        $joins = array_values(array_unique(array_map(static fn (Lock $lock): int => $lock->join, $locks)));
        if (count($joins) === 1) {
            return new self(sprintf('The lock on join %d cannot be kept beside what else is held: equal units are pressed alike, as one pile. Release one of them.', $joins[0]));
        }
        $others = count($joins) - self::NAMED;
        $named = array_map(strval(...), array_slice($joins, 0, self::NAMED));
        if ($others > 0) {
            $named[] = $others === 1 ? '1 other' : "$others others";
        }

        return new self(sprintf('The locks on joins %s contradict each other: equal units are pressed alike, as one pile. Release one of them.', Listed::of($named)));
    }

    public static function otherSegments(Lock $lock, int $segments): self
    {
        return new self($segments === 1
            ? sprintf('Join %d has one stretch and is pressed one way. Give it one word instead of %d.', $lock->join, count($lock->directions))
            : sprintf('Join %d has %d stretches between the places where seams meet; the lock has %d words. Give one for all of it, or %d.', $lock->join, $segments, count($lock->directions), $segments));
    }

    public static function partlyOpen(int $join): self
    {
        return new self(sprintf('Join %d would be open along a part of it only. A seam is open along all of its length or nowhere.', $join));
    }

    /**
     * A change of sides where the allowances cannot turn like a wheel.
     *
     * @param non-empty-array<int, PressDirection> $needs how the seams that meet there would have to lie, by join
     */
    public static function noWheel(Construction $construction, int $join, Point $at, array $needs): self
    {
        $place = $construction->face->lattice->toText($at);
        $wants = [];
        foreach ($needs as $other => $direction) {
            $wants[] = sprintf('join %d pressed %s', $other, $direction->value);
        }
        return new self(sprintf(
            'Join %d cannot change sides at %s, %s: its allowances turn like a wheel there only with %s, and the other locks, equal units or the school do not let both be so. Press join %d one way past that crossing, or release the others.',
            $join,
            $place[0],
            $place[1],
            implode(' and ', $wants),
            $join,
        ), $at, $needs);
    }

    public function problemCode(): string
    {
        return 'lock-not-possible';
    }

    public function where(): string
    {
        return '';
    }
}
