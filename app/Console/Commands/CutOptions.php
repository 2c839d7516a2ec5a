<?php

declare(strict_types=1);

namespace App\Console\Commands;

use KeenSeam\Core\Making\BuildChoice;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\Margins;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Measure\Fraction;

/** The options that say how units are made, shared by all commands that depend on it. */
trait CutOptions
{
    private const CUT_OPTIONS = '
        {--way=* : CLASS:WAY, like U1:eight-at-a-time}
        {--build=* : CLASS:alike or "CLASS:as they come", where a way gives units that look the same and are built as mirror images}
        {--margin=* : exact or larger; for one unit or stack U1:larger, b:larger}';

    /**
     * @param Fraction|null $usableWidth of the fabric, in the block's unit
     *
     * @throws \KeenSeam\Core\KeenSeamProblem
     */
    private function cutQuestion(int $blocks = 1, Preference $preference = Preference::LeastCloth, ?Fraction $usableWidth = null): CutQuestion
    {
        $builds = array_map(static fn (string $build): BuildChoice => BuildChoice::tryFrom($build) ?? throw OptionNotKnown::choice('build', $build, array_column(BuildChoice::cases(), 'value')), $this->pairs('build'));

        return new CutQuestion($blocks, $preference, $this->pairs('way'), $this->margins(), usableWidth: $usableWidth, builds: $builds);
    }

    private function margins(): Margins
    {
        $read = static fn (string $text): Margin => Margin::tryFrom($text) ?? throw OptionNotKnown::choice('margin', $text, array_column(Margin::cases(), 'value'));
        [$habit, $units, $stacks] = [Margin::Exact, [], []];
        foreach ((array) $this->option('margin') as $given) {
            $given = is_string($given) ? $given : '';
            [$for, $margin] = str_contains($given, ':') ? explode(':', $given, 2) : ['', $given];
            match (true) {
                $for === '' => $habit = $read($margin),
                preg_match('~^U\d~', $for) === 1 => $units[$for] = $read($margin),
                preg_match('~^[a-z]{1,3}$~D', $for) === 1 => $stacks[$for] = $read($margin),
                default => throw OptionNotKnown::pair('margin', $given, 'U1:larger or b:larger'),
            };
        }

        return new Margins($habit, false, $units, $stacks);
    }

    /** @return array<string, string> what was chosen, by the class's label */
    private function pairs(string $option): array
    {
        $pairs = [];
        foreach ((array) $this->option($option) as $given) {
            $given = is_string($given) ? $given : '';
            if (preg_match('~^(U[\d.]+):(.+)$~Ds', $given, $part) !== 1) {
                throw OptionNotKnown::pair($option, $given, $option === 'way' ? 'U1:eight-at-a-time' : 'U1:alike');
            }
            $pairs[$part[1]] = $part[2];
        }

        return $pairs;
    }
}
