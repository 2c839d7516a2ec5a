<?php

declare(strict_types=1);

namespace App\Wall;

use App\Models\OwnUnit;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Layout\CellDrawing;
use KeenSeam\Core\Layout\Cloths;
use KeenSeam\Core\Layout\Wall;

/** The quilter's own units, beside those of the tray: kept in three fabrics, the figure, the ground and a second figure. */
final class OwnTray
{
    private const PREFIX = 'own-';

    /** Keeps the unit that lies in a cell. */
    public static function keep(Wall $wall, int $row, int $column, string $name): OwnUnit
    {
        $drawing = CellDrawing::of($wall, $row, $column);
        $unit = Cloths::inRoles($drawing->cell->unit, ...array_map(self::fabric(...), ['f', 'g', 's']));
        $entry = BlockFileWriter::cell(new Cell(1, 1, 1, 1, $unit, $drawing->cell->placement), $wall->block);

        return OwnUnit::query()->create(['name' => $name, 'unit' => $entry, 'ratio' => $drawing->unit->ratio()]);
    }

    public static function has(string $kind): bool
    {
        return self::find($kind) !== null;
    }

    /** @return array{Unit, Placement, string}|null the unit in these fabrics, how it lies and what it is called; null where the kind is none of hers */
    public static function placed(string $kind, Block $block, Fabric $figure, Fabric $ground, Fabric $second): ?array
    {
        $own = self::find($kind);
        if ($own === null) {
            return null;
        }
        $cell = BlockFile::cells([$own->unit], $block->with(fabrics: ['f' => $figure, 'g' => $ground, 's' => $second]))[0];

        return [$cell->unit, $cell->placement, $own->name];
    }

    /** @return list<array<string, mixed>> as the tray shows its own kinds */
    public static function shown(): array
    {
        $shown = [];
        foreach (OwnUnit::query()->orderBy('name')->orderBy('id')->get() as $own) {
            $shown[] = ['kind' => self::PREFIX.$own->id, 'name' => $own->name, 'ratio' => $own->ratio, 'patches' => self::picture($own)];
        }

        return $shown;
    }

    /** @return list<array{role: string, points: mixed}> */
    private static function picture(OwnUnit $own): array
    {
        $block = BlockFile::read([
            'format' => BlockFile::FORMAT,
            'version' => BlockFile::VERSION,
            'name' => $own->name,
            'units' => 'in',
            'finished' => ['width' => (string) round(6 * $own->ratio, 4), 'height' => '6'],
            'seam_allowance' => '1/4',
            'fabrics' => array_map(static fn (string $role): array => ['key' => $role, 'name' => $role, 'color' => '#000000', 'value' => 'dark'], ['f', 'g', 's']),
            'columns' => ['1'],
            'rows' => ['1'],
            'cells' => [$own->unit],
        ]);

        return array_map(static fn (array $patch): array => ['role' => $patch[0], 'points' => $patch[1]], Picture::of(Face::of($block)->whole)->toShares());
    }

    private static function find(string $kind): ?OwnUnit
    {
        return preg_match('~^'.self::PREFIX.'\d{1,9}$~D', $kind) === 1 ? OwnUnit::query()->find((int) substr($kind, strlen(self::PREFIX))) : null;
    }

    private static function fabric(string $role): Fabric
    {
        return new Fabric($role, $role, '#000000', FabricValue::Dark);
    }
}
