<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Placement;

/** From a top to the open top format: what TopFile reads back as the same top. */
final class TopFileWriter
{
    /** @return array<string, mixed> to be written as JSON */
    public static function write(Top $top): array
    {
        $design = $top->firstDesign();

        return [
            'format' => TopFile::FORMAT,
            'version' => TopFile::VERSION,
            'name' => $top->name,
            'units' => $top->unit->value,
            'seam_allowance' => $top->allowance->toText($top->unit),
            'fabrics' => BlockFileWriter::fabrics($design->block->with(fabrics: $top->fabrics)),
            'blocks' => array_map(static fn (Design $design): array => [...BlockFileWriter::embedded($design->block), 'order' => $design->order], $top->designs),
            'setting' => $top->setting->value,
            'rows' => $top->rows,
            'columns' => $top->columns,
            'places' => self::places($top),
            'turns' => $top->turns->value,
            ...($top->piles === [] ? [] : ['piles' => $top->piles]),
            ...($top->sashes === null ? [] : ['sashes' => self::sashes($top->sashes, $top)]),
            ...($top->sides === null ? [] : ['sides' => $top->sides->fabric === null ? ['blocks' => true] : ['fabric' => $top->sides->fabric->key, 'float' => $top->sides->float->toText($top->unit)]]),
            ...($top->borders === [] ? [] : ['borders' => array_map(static fn (Border $border): array => [
                'width' => $border->width->toText($top->unit),
                'fabric' => $border->fabric->key,
                'corners' => $border->corners === null ? 'butted' : 'squares',
                ...($border->corners === null ? [] : ['square' => $border->corners->key]),
            ], $top->borders)]),
        ];
    }

    /** @return list<array<string, mixed>> those that do not hold the first block as it is drawn */
    private static function places(Top $top): array
    {
        $places = [];
        foreach ($top->places as $place) {
            $isUsual = $place->holds === $top->firstDesign() && $place->placement === new Placement();
            if ($isUsual) {
                continue;
            }
            $places[] = [
                'row' => TopPlace::number($place->rowDoubled, $top->setting),
                'column' => TopPlace::number($place->columnDoubled, $top->setting),
                ...($place->holds instanceof Fabric ? ['fabric' => $place->holds->key] : [
                    'block' => $place->holds->key,
                    'turn' => $place->placement->turn->value,
                    'mirrored' => $place->placement->mirrored,
                ]),
            ];
        }

        return $places;
    }

    /** @return array<string, mixed> */
    private static function sashes(Sashes $sashes, Top $top): array
    {
        return [
            'width' => $sashes->width->toText($top->unit),
            'fabric' => $sashes->fabric->key,
            ...($sashes->cornerstone === null ? [] : ['cornerstone' => $sashes->cornerstone->key]),
            'outer' => $sashes->outer,
        ];
    }
}
