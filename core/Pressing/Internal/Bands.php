<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Geometry\Point;

/**
 * The rows or columns that an order sews as bands, and the seams between the outermost ones.
 *
 * @internal
 */
final readonly class Bands
{
    public bool $areRows;

    /**
     * @param list<Assembly> $bands none where the order makes neither rows nor columns of this block
     * @param Point          $along the direction in which they run
     * @param list<Join>     $last
     */
    private function __construct(
        public array $bands,
        public Point $along,
        public array $last,
    ) {
        $this->areRows = $along->x !== 0;
    }

    public static function of(Construction $construction): self
    {
        $strand = self::outermost($construction);
        $root = $construction->root;
        $inOrder = $construction->order === Order::Columns ? new Point(0, 1) : new Point(1, 0);
        if ($strand === null) {
            return new self([], $inOrder, $root instanceof Join ? [$root] : []);
        }
        $last = array_map(static fn (int $id): Join => $construction->joins[$id], $strand->joins);
        $along = $last[0]->seam->direction();
        foreach ($last as $join) {
            if ($join->seam->direction()->cross($along) !== 0) {
                return new self([], $inOrder, $last); // strips round a centre
            }
        }
        // A block of one row, sewn by rows, is one band.
        if ($construction->order === ($along->x === 0 ? Order::Rows : Order::Columns)) {
            return new self([$root], $inOrder, $last);
        }

        $bands = [];
        foreach ($strand->parts as $part) {
            self::enter($part, $along, $bands, $last);
        }

        return new self($bands, $along, $last);
    }

    /**
     * Bands that are sewn in twos, or one to the two others, are bands all the same.
     *
     * @param list<Assembly> $bands
     * @param list<Join>     $last
     */
    private static function enter(Assembly $part, Point $along, array &$bands, array &$last): void
    {
        if (! $part instanceof Join || $part->tie !== null || $part->seam->direction()->cross($along) !== 0) {
            $bands[] = $part;

            return;
        }
        $last[] = $part;
        foreach ($part->children() as $child) {
            self::enter($child, $along, $bands, $last);
        }
    }

    /** @return list<Join> of a band, those inside its units left out */
    public static function joinsOf(Assembly $band): array
    {
        if (! $band instanceof Join || $band->tie !== null) {
            return [];
        }

        return [...array_merge(...array_map(self::joinsOf(...), $band->children())), $band];
    }

    private static function outermost(Construction $construction): ?Strand
    {
        foreach ($construction->strands as $strand) {
            if ($strand->depth === 0) {
                return $strand;
            }
        }

        return null;
    }
}
