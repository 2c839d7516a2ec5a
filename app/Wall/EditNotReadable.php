<?php

declare(strict_types=1);

namespace App\Wall;

use KeenSeam\Core\KeenSeamProblem;

/** A change that was sent in a form nobody can read; the screens never send one. */
final class EditNotReadable extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where)
    {
        parent::__construct($message);
    }

    public static function field(string $field, string $what): self
    {
        return new self(sprintf('"%s" is missing or no %s. Send it with the change.', $field, $what), '/edit/'.$field);
    }

    /** @param list<string> $known */
    public static function unknown(string $given, array $known): self
    {
        return new self(sprintf('"%s" is no change to a layout. Use one of: %s.', mb_substr($given, 0, 40), implode(', ', $known)), '/edit/do');
    }

    public function problemCode(): string
    {
        return 'edit-not-readable';
    }

    public function where(): string
    {
        return $this->where;
    }
}
