<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Table;

use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Making\UnitToMake;

/** What came out of a batch, told by how it is built: face and seams. */
final readonly class Outcome
{
    /**
     * @param int $own       built like the unit, after some turn
     * @param int $mirror    built like its mirror image, which looks otherwise
     * @param int $lookAlike built like its mirror image, though the face is the same
     */
    private function __construct(
        public int $own,
        public int $mirror,
        public int $lookAlike,
    ) {}

    /** @throws \LogicException when what was sewn has not the size of the unit: then the recipe is wrong */
    public static function of(Table $table): self
    {
        $wanted = self::wanted($table->unit, $table);
        $turned = static fn (bool $isMirrored): array => array_map(static fn (int $turns): string => self::shape($wanted, $turns, $isMirrored), Turn::QUARTERS);
        [$own, $mirrored] = [$turned(false), $turned(true)];
        $faces = array_map(static fn (Turn $turn): string => $table->unit->picture->moved(new Placement($turn))->key, Turn::cases());
        $counts = [0, 0, 0];
        foreach ($table->made as $cloth) {
            $made = self::finished($cloth, $table);
            $shape = $made === null ? '' : self::shape($made, 0, false);
            if (in_array($shape, $own, true)) {
                ++$counts[0];
            } elseif ($made !== null && in_array($shape, $mirrored, true)) {
                ++$counts[in_array(self::picture($made), $faces, true) ? 2 : 1];
            }
        }

        return new self(...$counts);
    }

    /**
     * The unit's patches at finished size, in steps of the table.
     *
     * @return list<array{string, ConvexPolygon}>
     */
    private static function wanted(UnitToMake $unit, Table $table): array
    {
        return array_map(static fn (array $patch): array => [$patch[0], ConvexPolygon::of(array_map(static fn (array $corner): Point => new Point($table->length($corner[0])->whole, $table->length($corner[1])->whole), $patch[1]))], $unit->outlines());
    }

    /**
     * What is left within the allowance once it is squared up; null where corners lie between whole steps, as in no unit.
     *
     * @return list<array{string, ConvexPolygon}>|null
     */
    private static function finished(Cloth $cloth, Table $table): ?array
    {
        $cloth = ($cloth->liesSquare() ? $cloth : $cloth->eighthTurned())->atOrigin();
        [, , $width, $height] = $cloth->bounds();
        $raw = array_map($table->length(...), $table->unit->raw($table->sizes->allowance));
        $isSize = static fn (RootTwo $w, RootTwo $h): bool => $width->equals($w) && $height->equals($h);
        if (! $cloth->liesSquare() || (! $isSize($raw[0], $raw[1]) && ! $isSize($raw[1], $raw[0]))) {
            throw new \LogicException('What is sewn here comes out at another size than the unit.');
        }
        $s = $table->allowance;
        $corner = new Place($s, $s);
        $far = new Place($width->minus($s), $height->minus($s));
        $inner = $cloth->cutTo(Line::through($corner, 1, 0), Line::through($far, 0, 1), Line::through($far, -1, 0), Line::through($corner, 0, -1));
        $patches = [];
        foreach ($inner->patches as [$fabric, $corners]) {
            $points = [];
            foreach ($corners as $place) {
                [$x, $y] = [$place->x->minus($s), $place->y->minus($s)];
                if ($x->root !== 0 || $y->root !== 0) {
                    return null;
                }
                $points[] = new Point($x->whole, $y->whole);
            }
            $patches[] = [$fabric, ConvexPolygon::of($points)];
        }

        return $patches;
    }

    /** @param list<array{string, ConvexPolygon}> $patches */
    private static function shape(array $patches, int $turns, bool $isMirrored): string
    {
        $moved = array_map(static fn (array $patch): array => [$patch[0], ($isMirrored ? $patch[1]->mirrored() : $patch[1])->turned($turns)], $patches);
        if ($moved === []) {
            return '';
        }
        $corner = Point::upperLeftOf(array_map(static fn (array $patch): Point => $patch[1]->corner(), $moved));
        $texts = array_map(static fn (array $patch): string => $patch[0].': '.$patch[1]->seenFrom($corner)->key(), $moved);
        sort($texts);

        return implode(' | ', $texts);
    }

    /** @param list<array{string, ConvexPolygon}> $patches */
    private static function picture(array $patches): string
    {
        return Picture::ofPatches(array_map(static fn (array $patch): array => [$patch[0], array_map(static fn (Point $point): array => [$point->x, $point->y], $patch[1]->points)], $patches))->key;
    }
}
