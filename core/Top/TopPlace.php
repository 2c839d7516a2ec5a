<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Placement;

/**
 * One place of a setting and what fills it: a block, or a plain square of a fabric.
 *
 * Rows and columns count from 1; on point the places between the whole blocks stand at halves. They are kept doubled.
 */
final readonly class TopPlace
{
    public function __construct(
        public int $rowDoubled,
        public int $columnDoubled,
        public Design|Fabric $holds,
        public Placement $placement = new Placement(),
    ) {}

    public function lying(Placement $placement): self
    {
        return new self($this->rowDoubled, $this->columnDoubled, $this->holds, $placement);
    }

    /** @return array{int, int} 0 or 1: which of every two rows, and of every two columns, it stands in */
    public function parity(): array
    {
        return [intdiv($this->rowDoubled, 2) % 2, intdiv($this->columnDoubled, 2) % 2];
    }

    public function key(): string
    {
        return $this->rowDoubled.','.$this->columnDoubled;
    }

    /** Twice a row or column that is written like "2" or "1 1/2"; null when it is neither. */
    public static function doubled(string $text): ?int
    {
        return preg_match('~^(?:(\d{1,3}) )?(1/2)$|^(\d{1,3})$~D', $text, $part) === 1
            ? 2 * (int) ($part[3] ?? $part[1] ?? 0) + ($part[2] === '' ? 0 : 1)
            : null;
    }

    /** @return array{row: string, column: string} as people read them */
    public function told(Setting $setting): array
    {
        return ['row' => (string) self::number($this->rowDoubled, $setting), 'column' => (string) self::number($this->columnDoubled, $setting)];
    }

    /** As the open formats write it: a number, or on point a text like "1 1/2". */
    public static function number(int $doubled, Setting $setting): int|string
    {
        if ($setting === Setting::Straight) {
            return intdiv($doubled, 2);
        }

        return match (true) {
            $doubled % 2 === 0 => (string) intdiv($doubled, 2),
            $doubled === 1 => '1/2',
            default => intdiv($doubled, 2).' 1/2',
        };
    }
}
