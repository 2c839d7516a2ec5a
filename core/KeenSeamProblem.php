<?php

declare(strict_types=1);

namespace KeenSeam\Core;

/**
 * Input that makes no sense, told so that a quilter can act on it.
 *
 * The exception's message is one sentence that says what is so and what to change. Broken promises inside
 * the core are plain LogicExceptions without this marker, so that they reach the log instead of the quilter.
 */
interface KeenSeamProblem extends \Throwable
{
    /** A permanent, machine-readable name of this kind of mistake. */
    public function problemCode(): string;

    /** Where in the input: a JSON pointer such as "/cells/3/turn", or '' when it concerns the whole. */
    public function where(): string;
}
