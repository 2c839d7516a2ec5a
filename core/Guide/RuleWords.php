<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Pressing\Rule;
use KeenSeam\Core\Pressing\RuleSubject;
use KeenSeam\Core\Pressing\RuleWord;

/** A rule of pressing as a sentence to read. */
final class RuleWords
{
    /** @param array<string, Fabric> $fabrics of the block, by key */
    public static function of(Rule $rule, array $fabrics): string
    {
        return sprintf('%s: %s', self::subject($rule), self::way($rule, $fabrics));
    }

    /** "half-square triangles" */
    public static function kind(string $kind): string
    {
        return match ($kind) {
            KnownShape::FOUR_PATCH => 'four-patches',
            GridUnit::KIND => 'small grids',
            PatchesUnit::KIND => 'drawn units',
            FlippedCornersUnit::KIND => 'units with flipped corners',
            default => (UnitPatterns::all()[$kind] ?? throw new \LogicException('Rules know their kinds.'))->plural,
        };
    }

    private static function subject(Rule $rule): string
    {
        return match ($rule->subject) {
            RuleSubject::Rows => 'Rows',
            RuleSubject::Columns => 'Columns',
            RuleSubject::Last => 'The last seams',
            RuleSubject::Units => ucfirst(self::kind($rule->of)),
            RuleSubject::Cell => sprintf('The unit at row %s, column %s and its likes', ...explode(',', $rule->of)),
        };
    }

    /** @param array<string, Fabric> $fabrics */
    private static function way(Rule $rule, array $fabrics): string
    {
        if ($rule->fabric !== null) {
            return ($rule->away ? 'away from ' : 'toward ').(isset($fabrics[$rule->fabric]) ? $fabrics[$rule->fabric]->name : $rule->fabric);
        }

        return implode(', ', array_map(static fn (RuleWord $word): string => match ($word) {
            RuleWord::Dark => 'toward the darker side',
            RuleWord::Light => 'toward the lighter side',
            RuleWord::Free => 'as planned',
            default => $word->value,
        }, $rule->words));
    }
}
