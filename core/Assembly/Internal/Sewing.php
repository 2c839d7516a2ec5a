<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\JoinTie;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Block\SewingOrder;

/**
 * The joins of a construction as they are made, numbered as they come.
 *
 * @internal
 */
final class Sewing
{
    /** @var list<Join> */
    public array $joins = [];

    /** @var list<Strand> */
    public array $strands = [];

    public function join(Assembly $left, Assembly $right, ?JoinTie $tie): Join
    {
        return $this->joins[] = new Join(count($this->joins), $left, $right, $tie);
    }

    /**
     * Sews what is made into the whole, with joins that are free.
     *
     * @param list<Assembly> $units
     */
    public function sewWhole(SewingOrder $sewing, array $units, int $depth = 0, int $number = 1): Assembly
    {
        $items = [];
        foreach ($sewing->items as $i => $item) {
            $items[] = is_int($item) ? $units[$item] : $this->sewWhole($item, $units, $depth + 1, $i + 1);
        }
        $firstJoin = count($this->joins);
        $sewn = $items[0];
        foreach (array_slice($items, 1) as $item) {
            $sewn = $this->join($sewn, $item, null);
        }
        if (count($items) > 1) {
            $this->strands[] = new Strand(range($firstJoin, count($this->joins) - 1), $items, $depth, $number);
        }

        return $sewn;
    }
}
