<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Workings\PressAsked;
use KeenSeam\Core\Pressing\EqualParts;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rule;

/** The options that say how a block is sewn and pressed, shared by all commands that depend on it; they win over the file's own plan. */
trait PressOptions
{
    use OrderOption;

    private const PRESS_OPTIONS = self::ORDER_OPTION.'
        {--style= : how to press: nest, nest-furl, open, dark or mixed; as the file says, or nest, if not given}
        {--rule=* : pressing in words, like "rows: out in out", "last: open", "units flying-geese: dark", "cell 2,1: away from B"}
        {--lock=* : ID:left, ID:right or ID:open, or a word a segment, fixes how a join is pressed}
        {--lump= : plies above which style mixed opens a seam; 10 if not given}';

    /** @throws \KeenSeam\Core\KeenSeamProblem */
    private function pressAsked(EqualParts $equalParts = EqualParts::Apart): PressAsked
    {
        $text = static fn (mixed $given): string => is_string($given) ? $given : '';

        return new PressAsked(
            $this->option('style') === null ? null : $this->oneOf('style', PressStyle::class),
            $this->option('lump') === null ? null : $this->whole('lump', $this->option('lump')),
            array_map(static fn (mixed $lock): Lock => Lock::parse($text($lock)), array_values((array) $this->option('lock'))),
            array_map(static fn (mixed $rule): Rule => Rule::parse($text($rule)), array_values((array) $this->option('rule'))),
            $equalParts,
        );
    }
}
