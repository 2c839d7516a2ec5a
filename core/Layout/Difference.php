<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Layout\Internal\CellPictures;

/** One place where a layout no longer shows what the picture to match shows. */
final readonly class Difference
{
    /** @param Cell|null $cell of the layout; null when it concerns the whole */
    private function __construct(
        public ?Cell $cell,
        public string $text,
    ) {}

    /** @return list<self> in reading order */
    public static function between(Block $picture, Block $now): array
    {
        [$there, $here] = [$picture->grid, $now->grid];
        if ([count($there->columns), count($there->rows)] !== [count($here->columns), count($here->rows)]) {
            return [new self(null, sprintf(
                'The picture has %d rows and %d columns, the wall has %d and %d.',
                count($there->rows),
                count($there->columns),
                count($here->rows),
                count($here->columns),
            ))];
        }
        $pictures = new CellPictures(Face::of($picture));
        $found = new CellPictures(Face::of($now));
        $differences = [];
        foreach ($found->units as $i => $unit) {
            $cell = $unit->cell;
            foreach ($pictures->units as $p => $pictured) {
                if (Area::ofCell($pictured->cell)->equals(Area::ofCell($cell))) {
                    $text = $pictures->picture($p)->key === $found->picture($i)->key ? null : self::told($pictured->cell, $cell);
                    $differences = $text === null ? $differences : [...$differences, new self($cell, $text)];
                    continue 2;
                }
            }
            $differences[] = new self($cell, 'covers other places than in the picture');
        }

        return $differences;
    }

    private static function told(Cell $pictured, Cell $cell): string
    {
        if (serialize($pictured->unit) === serialize($cell->unit)) {
            return self::moved($cell->placement->around($pictured->placement->inverse()));
        }

        if ($pictured->unit->kind() !== $cell->unit->kind()) {
            return sprintf('%s instead of %s', self::called($cell), self::called($pictured));
        }
        $uncoloured = static fn (Cell $of): string => serialize(Cloths::inFabrics($of->unit, static fn (Fabric $fabric): Fabric => new Fabric('', '', '', FabricValue::Light)));

        return $uncoloured($pictured) === $uncoloured($cell) ? 'in other fabrics' : 'with other seams';
    }

    private static function moved(Placement $by): string
    {
        return match (true) {
            $by->mirrored => 'the other hand: mirrored',
            $by->turn->value === 180 => 'turned half round',
            $by->turn->value === 90 => 'turned a quarter clockwise',
            default => 'turned a quarter anticlockwise',
        };
    }

    private static function called(Cell $cell): string
    {
        return $cell->label ?? 'a '.$cell->unit->name();
    }
}
