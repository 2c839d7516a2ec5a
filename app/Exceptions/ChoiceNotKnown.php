<?php

declare(strict_types=1);

namespace App\Exceptions;

use KeenSeam\Core\KeenSeamProblem;

final class ChoiceNotKnown extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where)
    {
        parent::__construct($message);
    }

    /** @param list<\BackedEnum> $choices */
    public static function of(string $field, array $choices): self
    {
        return new self(sprintf(
            '"%s" is missing or unknown. Use one of: %s.',
            $field,
            implode(', ', array_map(static fn (\BackedEnum $choice): string => (string) $choice->value, $choices)),
        ), '/'.$field);
    }

    /** @param list<string> $choices */
    public static function among(string $field, array $choices): self
    {
        return new self(sprintf('"%s" is no list, or names something unknown. Use any of: %s.', $field, implode(', ', $choices)), '/'.$field);
    }

    public static function count(string $field): self
    {
        return new self(sprintf('"%s" is no whole number. Send how many there are, from 0 up.', $field), '/'.$field);
    }

    public function problemCode(): string
    {
        return 'choice-not-known';
    }

    public function where(): string
    {
        return $this->where;
    }
}
