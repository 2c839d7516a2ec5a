<?php

declare(strict_types=1);

namespace App\Work;

use KeenSeam\Core\KeenSeamProblem;

/** Something told from the machine that does not fit the work. */
final class WorkNotPossible extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function noSuchStep(): self
    {
        return new self('The plan has changed: that step is no longer in it. Go on from the step that is shown.');
    }

    public static function notPlanned(): self
    {
        return new self('The plan of this top is not worked out yet. Plan it first; then the sewing begins.');
    }

    public static function notSewn(): self
    {
        return new self('That seam is not sewn, so there is nothing to unpick. Choose a sewn one.');
    }

    public static function soManyBlocks(int $blocks): self
    {
        return new self($blocks === 1 ? 'Only one block is made. Unpick it in that one.' : sprintf('%d blocks are made. Unpick it in one to %1$d of them.', $blocks));
    }

    public static function sewnOtherwise(): self
    {
        return new self('Some units are sewn to each other already, and not as the other order has them. Finish this block as it was begun, or unpick those seams first.');
    }

    public static function soManyUnits(int $loose, string $name): self
    {
        return new self($loose === 0 ? sprintf('No %s lie loose: what is sewn to something is unpicked first.', $name) : sprintf('%d %s lie loose. Say how many of them are of the wrong hand.', $loose, $name));
    }

    public static function notSoMended(): self
    {
        return new self('These units cannot be mended so any more. Look at the ways that are shown now.');
    }

    public static function notCounted(int $counted): self
    {
        return new self($counted === 0 ? 'Nothing of this step is counted yet, so there is nothing to unpick.' : sprintf('%d of this step are sewn. Unpick one to %1$d of them.', $counted));
    }

    public static function nothingToMeasure(): self
    {
        return new self('Nothing is measured at this step. Go on to the next one.');
    }

    public function problemCode(): string
    {
        return 'work-not-possible';
    }

    public function where(): string
    {
        return '/events';
    }
}
