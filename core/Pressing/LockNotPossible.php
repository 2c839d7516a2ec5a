<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\KeenSeamProblem;

final class LockNotPossible extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function notReadable(string $given): self
    {
        return new self(sprintf('"%s" is not a lock. Write a join\'s number and left, right or open, like 12:left.', mb_substr($given, 0, 40)));
    }

    /** @param list<Lock> $locks */
    public static function contradicting(array $locks): self
    {
        return new self(sprintf(
            'The locks on joins %s contradict each other: equal units are pressed alike, as one pile. Release one of them.',
            implode(' and ', array_map(static fn (Lock $lock): string => (string) $lock->join, $locks)),
        ));
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
