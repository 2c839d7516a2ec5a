<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\KeenSeamProblem;

/** A block that cannot be cut as it was asked. */
class CutNotPossible extends \InvalidArgumentException implements KeenSeamProblem
{
    final protected function __construct(string $message, private readonly string $where)
    {
        parent::__construct($message);
    }

    public static function blocks(int $most): self
    {
        return new self(sprintf('The number of blocks must be from 1 to %d. Correct it.', $most), '/blocks');
    }

    /** @param list<string> $offered */
    public static function unknownWay(string $way, string $label, array $offered): self
    {
        return new self(sprintf('There is no way "%s" to make %s. Choose one of these: %s.', mb_substr($way, 0, 40), $label, implode(', ', $offered)), '/ways/'.$label);
    }

    /** @param list<string> $labels */
    public static function unknownUnit(string $label, array $labels): self
    {
        return new self(sprintf('This block has no unit "%s". %s', mb_substr($label, 0, 40), $labels === [] ? 'It has only plain patches.' : 'Choose one of these: '.implode(', ', array_slice($labels, 0, 40)).'.'), '/ways');
    }

    /** @param list<string> $letters */
    public static function unknownStack(string $letter, array $letters): self
    {
        return new self(sprintf('This block has no stack "%s". Choose one of these: %s.', mb_substr($letter, 0, 40), implode(', ', array_slice($letters, 0, 40))), '/stacks');
    }

    public function problemCode(): string
    {
        return 'cut-not-possible';
    }

    public function where(): string
    {
        return $this->where;
    }
}
