<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

/** One key pressed at the machine, as it is kept. */
final readonly class LogEntry
{
    /**
     * @param int              $block    whose it is
     * @param int              $at       milliseconds since 1970
     * @param string           $title    of the step
     * @param int              $times    how often the motion was done since the entry before
     * @param string|null      $madeUnit what the units are called that a step squares up: "flying geese"
     * @param UnpickCause|null $cause    of an unpicking
     * @param int              $seams    that were opened
     * @param string           $units    what the units at an opened seam are called
     * @param string           $reason   of an unpicking, in the quilter's own words; empty where she wrote none
     */
    public function __construct(
        public int $block,
        public int $at,
        public Deed $deed,
        public ?StepKind $does = null,
        public string $title = '',
        public int $times = 1,
        public ?string $madeUnit = null,
        public ?UnpickCause $cause = null,
        public int $seams = 0,
        public string $units = 'units',
        public ?MeasuredPart $measured = null,
        public string $reason = '',
    ) {}

    /** Why a seam was opened, in her own words where she wrote any. */
    public function why(): string
    {
        return $this->reason !== '' ? $this->reason : ($this->cause ?? UnpickCause::Other)->words();
    }
}
