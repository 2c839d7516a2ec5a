<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\SewingOrder;

/**
 * An order of the quilter's own: pairs of pairs down to cells, told by row and column like "1,2", or to single patches of a
 * cell like "1,2#3", the third in the file. What stands first in a pair lies to the needle's left when both are level.
 */
final readonly class OwnOrder implements ChosenOrder
{
    /** Levels that its nested lists may have, with some to spare. */
    public const DEEPEST = 4200;

    private const LONGEST_NAME = 120;

    /** @param bool $isThrough whether patches are sewn to other cells before their own is whole */
    private function __construct(
        public string $name,
        public OwnPair|string $sew,
        private bool $isThrough,
    ) {}

    /**
     * @param mixed $sew nested lists of two, down to texts
     *
     * @throws OrderNotPossible
     */
    public static function of(string $name, mixed $sew): self
    {
        if (trim($name) === '' || mb_strlen($name) > self::LONGEST_NAME) {
            throw OrderNotPossible::noName(self::LONGEST_NAME);
        }
        $pairs = OwnPair::read($sew);
        $leaves = OwnPair::leaves($pairs);
        foreach (array_count_values($leaves) as $leaf => $times) {
            if ($times > 1) {
                throw OrderNotPossible::twice((string) $leaf);
            }
        }

        return new self($name, $pairs, self::isThrough($pairs, array_count_values(array_map(self::cellOf(...), $leaves))));
    }

    public function key(): string
    {
        return 'own-'.substr(md5(serialize($this->toArray())), 0, 12);
    }

    /** @return array<array-key, mixed>|string nested lists of two, as of() reads them */
    public function toArray(): array|string
    {
        return is_string($this->sew) ? $this->sew : $this->sew->toArray();
    }

    /** Small grids that are sewn as one are sewn by rows. */
    public function sewing(PlacedUnit $placed): SewingOrder
    {
        return Order::Rows->sewing($placed);
    }

    public function words(): string
    {
        return $this->name;
    }

    public function stripName(int $depth): string
    {
        return 'part';
    }

    public function runsThroughCells(): bool
    {
        return $this->isThrough;
    }

    /** The cell that a leaf lies in. */
    public static function cellOf(string $leaf): string
    {
        return explode('#', $leaf)[0];
    }

    /**
     * A cell told by patches is whole where one pair has all of them and nothing else.
     *
     * @param array<string, int> $counts how many leaves lie in each cell
     */
    private static function isThrough(OwnPair|string $part, array $counts): bool
    {
        if (is_string($part)) {
            return false;
        }
        if (self::isThrough($part->first, $counts) || self::isThrough($part->second, $counts)) {
            return true;
        }
        $cells = array_map(static fn (OwnPair|string $side): array => array_count_values(array_map(self::cellOf(...), OwnPair::leaves($side))), [$part->first, $part->second]);
        foreach ([[$cells[0], $cells[1]], [$cells[1], $cells[0]]] as [$here, $there]) {
            $cell = (string) array_key_first($here);
            // A side that is some patches of one cell may only meet others of the same.
            if (count($here) === 1 && $here[$cell] < $counts[$cell] && array_keys($there) !== array_keys($here)) {
                return true;
            }
        }

        return false;
    }
}
