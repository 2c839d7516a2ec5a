<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\KeenSeamProblem;

final class RuleNotPossible extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function notReadable(string $given): self
    {
        return new self(sprintf('"%s" is not a rule. Write it like "rows: out in out", "last: open", "units flying-geese: dark" or "cell 2,1: toward A".', mb_substr($given, 0, 60)));
    }

    public static function unknownWord(string $given, RuleSubject $subject): self
    {
        $words = array_map(static fn (RuleWord $word): string => $word->value, $subject->words());

        return new self(sprintf('"%s" is no way to press "%s". Use %s, toward or away from a fabric.', mb_substr($given, 0, 40), $subject->value, implode(', ', $words)));
    }

    public static function oneWord(RuleSubject $subject): self
    {
        return new self(sprintf('A rule for "%s" says one way; only rows and columns take several in turn. Keep one of them.', $subject->value));
    }

    /** @param list<string> $kinds */
    public static function unknownKind(string $given, array $kinds): self
    {
        return new self(sprintf('"%s" is not a kind of unit with seams. Use one of: %s.', mb_substr($given, 0, 40), implode(', ', $kinds)));
    }

    /** @param array<Fabric> $fabrics */
    public static function unknownFabric(Rule $rule, array $fabrics): self
    {
        return new self(sprintf(
            'The rule "%s" speaks of a fabric that the block has not. Its fabrics are: %s.',
            $rule->toText(),
            implode(', ', array_map(static fn (Fabric $fabric): string => $fabric->key === $fabric->name ? $fabric->key : sprintf('%s (%s)', $fabric->key, $fabric->name), $fabrics)),
        ));
    }

    public static function noSuchCell(Rule $rule): self
    {
        return new self(sprintf('The rule "%s" speaks of a cell that is not in the block. Count rows and columns from 1.', $rule->toText()));
    }

    public static function fitsNothing(Rule $rule): self
    {
        return new self(sprintf('The rule "%s" fits no seam of this block as it is sewn. Change it, or leave it out.', $rule->toText()));
    }

    public function problemCode(): string
    {
        return 'rule-not-possible';
    }

    public function where(): string
    {
        return '';
    }
}
