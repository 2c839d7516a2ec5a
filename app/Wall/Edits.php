<?php

declare(strict_types=1);

namespace App\Wall;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Corner;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\Area;
use KeenSeam\Core\Layout\Axis;
use KeenSeam\Core\Layout\CellDrawing;
use KeenSeam\Core\Layout\DrawingStart;
use KeenSeam\Core\Layout\Grouping;
use KeenSeam\Core\Layout\LayoutNotPossible;
use KeenSeam\Core\Layout\TrayUnit;
use KeenSeam\Core\Layout\Wall;

/** Reads a change as the wall sends it, makes it, and says in words what it was. */
final class Edits
{
    private const KNOWN = [
        'place', 'lay', 'move', 'lie', 'mend', 'swap', 'clear', 'label', 'carry', 'paint', 'corner', 'corner-to', 'add-line', 'remove-line', 'size-line',
        'size', 'name', 'allowance', 'fabric', 'remove-fabric', 'cut', 'sew-back', 'draw', 'as-one', 'group', 'open-out',
    ];

    /**
     * @param string $do
     *
     * @return array{Wall, string} the changed wall, and what was done
     *
     * @throws KeenSeamProblem when it cannot be done
     */
    public static function applied(Wall $wall, string $do, EditFields $edit): array
    {
        return match ($do) {
            'place' => self::place($wall, $edit),
            'lay' => self::lay($wall, $edit),
            'move' => [$wall->moved($edit->places(), $edit->placement()), $edit->placement()->mirrored ? 'Mirror' : 'Turn'],
            'lie' => [$wall->lying($edit->places(), $edit->placement()), 'Mend'],
            'mend' => [$wall->mended($edit->places()), count($edit->places()) === 1 ? 'Mend' : 'Mend all'],
            'swap' => [$wall->withFabricsSwapped($edit->places()), 'Swap the fabrics'],
            'clear' => [$wall->cleared($edit->places()), 'Clear'],
            'label' => [$wall->labelled($edit->places(), $edit->has('label') ? $edit->text('label') : null), 'Label'],
            'carry' => [$wall->carried($edit->places(), $edit->number('down'), $edit->number('right')), 'Move'],
            'paint' => [$wall->painted($edit->number('patch'), $edit->text('fabric')), 'Paint in '.$wall->cloths()->fabric($edit->text('fabric'))->name],
            'corner' => [$wall->withCorner($edit->places(), $edit->choice('corner', Corner::class), $edit->has('size') ? $edit->length('size', $wall->block->unit) : null, $edit->text('fabric')), 'Change a flipped corner'],
            'corner-to' => [$wall->withCornerMoved($edit->places(), $edit->choice('corner', Corner::class), $edit->choice('to', Corner::class)), 'Move a flipped corner'],
            'add-line' => self::addLine($wall, $edit),
            'remove-line' => self::removeLine($wall, $edit),
            'size-line' => self::sizeLine($wall, $edit),
            'size' => [$wall->resized($edit->length('width', $wall->block->unit), $edit->length('height', $wall->block->unit)), 'Change the size'],
            'name' => [$wall->named($edit->text('name')), 'Rename'],
            'allowance' => [$wall->withAllowance($edit->length('size', $wall->block->unit)), 'Change the seam allowance'],
            'fabric' => self::fabric($wall, $edit),
            'remove-fabric' => [$wall->withoutFabric($edit->text('key'), $edit->has('instead') ? $edit->text('instead') : null), 'Take a fabric away'],
            'cut' => [self::drawing($wall, $edit)->cut($edit->spot('from'), $edit->spot('to'), $edit->has('through')), 'Cut'],
            'sew-back' => [self::drawing($wall, $edit)->sewnBack(...$edit->pair('patches')), 'Sew two patches back into one'],
            'draw' => [Grouping::drawn($wall, self::chosen($edit), $edit->choice('start', DrawingStart::class)), 'Begin a drawn unit'],
            'as-one' => [Grouping::asOneCell($wall), 'Make it one cell'],
            'group' => [Grouping::grouped($wall, self::chosen($edit)), 'Make a small grid'],
            'open-out' => [Grouping::openedOut($wall, ...self::chosen($edit)[0]), 'Open a small grid into cells'],
            default => throw EditNotReadable::unknown($do, self::KNOWN),
        };
    }

    /** @throws KeenSeamProblem */
    private static function drawing(Wall $wall, EditFields $edit): CellDrawing
    {
        return CellDrawing::of($wall, ...self::chosen($edit)[0]);
    }

    /** @return non-empty-list<array{int, int}> */
    private static function chosen(EditFields $edit): array
    {
        $places = $edit->places();

        return $places === [] ? throw LayoutNotPossible::nothingChosen() : $places;
    }

    /** @return array{Wall, string} */
    private static function place(Wall $wall, EditFields $edit): array
    {
        [$kind, $places] = [$edit->text('kind'), $edit->places()];
        if ($places === []) {
            throw EditNotReadable::field('places', 'list of rows and columns');
        }
        if (! TrayUnit::isKnown($kind) && ! OwnTray::has($kind)) {
            throw EditNotReadable::field('kind', 'kind of unit in the tray');
        }
        $own = OwnTray::placed($kind, $wall->block, ...$wall->cloths()->three($edit->text('figure')));
        if ($own !== null) {
            [$unit, $lies, $name] = $own;

            return [$wall->filled($places, $edit->has('asOne'), static fn (Area $area): Cell => new Cell($area->row, $area->column, $area->rowSpan, $area->columnSpan, $unit, $lies, $name)), 'Place '.$name];
        }

        return [$wall->placed($kind, $places, $edit->has('asOne'), $edit->text('figure')), 'Place '.str_replace('-', ' ', $kind)];
    }

    /** @return array{Wall, string} */
    private static function lay(Wall $wall, EditFields $edit): array
    {
        $cells = BlockFile::cells($edit->list('cells'), $wall->block);

        return [$wall->laid($cells), 'Place '.(count($cells) === 1 ? $cells[0]->unit->name() : count($cells).' units')];
    }

    /** @return array{Wall, string} */
    private static function addLine(Wall $wall, EditFields $edit): array
    {
        $axis = $edit->choice('axis', Axis::class);
        $size = $edit->has('size') ? $edit->length('size', $wall->block->unit) : null;

        return [$wall->withLine($axis, $edit->number('before'), $size), 'Add a '.$axis->one()];
    }

    /** @return array{Wall, string} */
    private static function removeLine(Wall $wall, EditFields $edit): array
    {
        $axis = $edit->choice('axis', Axis::class);

        return [$wall->withoutLine($axis, $edit->number('number')), sprintf('Remove %s %d', $axis->one(), $edit->number('number'))];
    }

    /** @return array{Wall, string} */
    private static function sizeLine(Wall $wall, EditFields $edit): array
    {
        $axis = $edit->choice('axis', Axis::class);

        return [$wall->withLineOf($axis, $edit->number('number'), $edit->length('size', $wall->block->unit)), sprintf('Size %s %d', $axis->one(), $edit->number('number'))];
    }

    /** @return array{Wall, string} */
    private static function fabric(Wall $wall, EditFields $edit): array
    {
        $color = $edit->text('color');
        $key = $edit->has('key') ? $edit->text('key') : self::freeKey($wall);
        $value = $edit->has('value') ? $edit->choice('value', FabricValue::class) : null;
        if (preg_match('~^#[0-9a-fA-F]{6}$~D', $color) !== 1) {
            throw EditNotReadable::field('color', 'colour like "#3b5b7a"');
        }

        return [$wall->withFabric(new Fabric($key, $edit->text('name'), $color, $value ?? FabricValue::proposedFor($color))), 'Change the fabrics'];
    }

    private static function freeKey(Wall $wall): string
    {
        foreach (range('A', 'Z') as $letter) {
            if (! isset($wall->block->fabrics[$letter])) {
                return $letter;
            }
        }

        return 'F'.(count($wall->block->fabrics) + 1);
    }
}
