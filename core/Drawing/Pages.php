<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

/** Fills pages from the top down; each gets its heading, and at the foot whose sheet it is and which page. */
final class Pages
{
    private const MARGIN = 13.0;

    private const FOOT = 9.0;

    public const GAP = 3.0;

    /** Between columns. */
    private const GUTTER = 7.0;

    /** What begins on a page leaves at least this share of it below; else it begins on the next one. */
    private const ROOM = 0.25;

    /** @var list<list<Shape>> */
    private array $pages = [[]];

    private float $down = self::MARGIN;

    public readonly float $width;

    private readonly float $bottom;

    /**
     * @param string $name of what the sheets are about, beside every heading
     * @param string $foot "Tide Gate, 12 in, 26 November 2026"
     */
    public function __construct(private readonly Paper $paper, private readonly Typesetter $setter, private readonly string $name, private readonly string $foot)
    {
        [$width, $height] = $paper->size();
        $this->width = $width - 2 * self::MARGIN;
        $this->bottom = $height - self::MARGIN - self::FOOT;
    }

    /** Millimetres from the top margin to the foot. */
    public function height(): float
    {
        return $this->bottom - self::MARGIN;
    }

    /** Millimetres that are free on this page. */
    public function free(): float
    {
        return $this->bottom - $this->down;
    }

    public function isFresh(): bool
    {
        return $this->down === self::MARGIN;
    }

    public function turn(): void
    {
        if (! $this->isFresh()) {
            $this->pages[] = [];
            $this->down = self::MARGIN;
        }
    }

    /** The heading of a sheet, on this page where enough of it is left. */
    public function begin(string $title, float $needs = 0.0): void
    {
        if ($this->free() < max(self::ROOM * $this->height(), $needs)) {
            $this->turn();
        }
        $this->add($this->heading($title), $this->isFresh() ? 0.0 : 8.0);
    }

    /** A title with what it is about at the other end of the line. */
    public function heading(string $title): Fitted
    {
        $name = $this->setter->clipped($this->name, $this->width / 2, Typesetter::HEADING);
        $words = $this->setter->paragraph($title, $this->width - $this->setter->width($name, Typesetter::HEADING, false) - 6, Typesetter::TITLE, true);

        return Fitted::beside($words, 0, $this->setter->label($name, $this->width, 7, Typesetter::HEADING, Anchor::End, false, Palette::SOFT));
    }

    /** Puts it on this page, or whole on the next one. */
    public function add(Fitted $part, float $gap = self::GAP): void
    {
        $gap = $this->isFresh() ? 0.0 : $gap;
        if ($gap + $part->height > $this->free() && ! $this->isFresh()) {
            $this->turn();
            $gap = 0.0;
        }
        array_push($this->pages[count($this->pages) - 1], ...$part->placed(self::MARGIN, $this->down + $gap));
        $this->down += $gap + $part->height;
    }

    /** Width of one of so many columns. */
    public function column(int $count): float
    {
        return ($this->width - ($count - 1) * self::GUTTER) / $count;
    }

    /**
     * In columns, read down and then across; on the last page they end level.
     *
     * @param list<Fitted> $parts set in the width of a column
     */
    public function columns(array $parts, int $count, float $gap = self::GAP): void
    {
        while ($parts !== []) {
            $above = $this->isFresh() ? 0.0 : self::GAP;
            $free = $this->free() - $above;
            if ($parts[0]->height > $free && ! $this->isFresh()) {
                $this->turn();
                continue;
            }
            $columns = self::filled($parts, $count, $gap, $free);
            if (array_sum(array_map(count(...), $columns)) === count($parts)) {
                // Everything fits: as low as it can be.
                for ($low = 0.0, $high = $free; $high - $low > 0.5;) {
                    $middle = ($low + $high) / 2;
                    array_sum(array_map(count(...), self::filled($parts, $count, $gap, $middle))) === count($parts) ? $high = $middle : $low = $middle;
                }
                $columns = self::filled($parts, $count, $gap, $high);
            }
            $deepest = 0.0;
            foreach ($columns as $number => $column) {
                $set = Fitted::below($gap, ...$column);
                array_push($this->pages[count($this->pages) - 1], ...$set->placed(self::MARGIN + $number * ($this->column($count) + self::GUTTER), $this->down + $above));
                $deepest = max($deepest, $set->height);
            }
            $this->down += $above + $deepest;
            $parts = array_slice($parts, array_sum(array_map(count(...), $columns)));
            if ($parts !== []) {
                $this->turn();
            }
        }
    }

    /** A page of its own, whose shapes are in millimetres of the paper. */
    public function whole(Fitted $page): void
    {
        $this->turn();
        $this->pages[count($this->pages) - 1] = $page->placed(self::MARGIN, self::MARGIN);
        $this->down = $this->bottom;
    }

    /** @return non-empty-list<Sketch> */
    public function done(): array
    {
        [$width, $height] = $this->paper->size();
        $last = array_pop($this->pages) ?? [];
        $pages = $last === [] && $this->pages !== [] ? $this->pages : [...$this->pages, $last];
        $count = count($pages);
        $level = $height - self::MARGIN - 1;

        return array_map(fn (array $shapes, int $number): Sketch => new Sketch(0, 0, $width, $height, [
            ...$shapes,
            new Stroke([[self::MARGIN, $level - 4.5], [$width - self::MARGIN, $level - 4.5]], Palette::SOFT, 0.2),
            ...$this->setter->label($this->setter->clipped($this->foot, $this->width - 30, Typesetter::SMALL), self::MARGIN, $level, Typesetter::SMALL, Anchor::Start)->shapes,
            ...$this->setter->label(sprintf('page %d of %d', $number + 1, $count), $width - self::MARGIN, $level, Typesetter::SMALL, Anchor::End)->shapes,
        ]), $pages, array_keys($pages));
    }

    /**
     * @param list<Fitted> $parts
     *
     * @return list<list<Fitted>> what fits into each column, in order; the first takes one at least
     */
    private static function filled(array $parts, int $count, float $gap, float $height): array
    {
        $columns = array_fill(0, $count, []);
        [$column, $used] = [0, 0.0];
        foreach ($parts as $part) {
            $needs = ($columns[$column] === [] ? 0.0 : $gap) + $part->height;
            if ($columns[$column] !== [] && $used + $needs > $height + 1e-6) {
                if (++$column === $count) {
                    break;
                }
                [$used, $needs] = [0.0, $part->height];
            }
            if ($part->height > $height + 1e-6 && $column > 0) {
                break;
            }
            $columns[$column][] = $part;
            $used += $needs;
        }

        return $columns;
    }
}
