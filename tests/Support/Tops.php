<?php

declare(strict_types=1);

namespace Tests\Support;

use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SashesSewn;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopOrder;
use KeenSeam\Core\Top\TopFace;
use KeenSeam\Core\Top\TopFile;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Small tops for tests: of blocks written as Blocks writes them. */
final class Tops
{
    /** Looks the same after every quarter turn; sewn by rows it is then sewn by columns. */
    public const PINWHEEL = ['hAB', 'hAB90', '/', 'hAB270', 'hAB180'];

    /**
     * @param array<string, mixed> $over      fields instead of the usual ones: two by two of the first block, straight
     * @param list<string>         ...$blocks rows of each block, "/" between rows; they are called "one", "two", ...
     *
     * @return array<string, mixed> as decoded from a top file
     */
    public static function file(array $over, array ...$blocks): array
    {
        $entries = [];
        $fabrics = [];
        foreach (array_values($blocks) as $number => $words) {
            $file = Blocks::file(...array_map(trim(...), explode('/', implode(' ', $words))));
            $fabrics = $file['fabrics'];
            $entries[['one', 'two', 'three'][$number]] = [...array_intersect_key($file, ['columns' => 1, 'rows' => 1, 'cells' => 1]), 'finished' => ['width' => '6', 'height' => '6'], 'order' => 'rows'];
        }

        return $over + [
            'format' => 'keen-seam/top',
            'version' => 1,
            'name' => 'Night watch',
            'units' => 'in',
            'seam_allowance' => '1/4',
            'fabrics' => $fabrics,
            'blocks' => $entries,
            'setting' => 'straight',
            'rows' => 2,
            'columns' => 2,
        ];
    }

    /** @param array<string, mixed> $file */
    public static function face(array $file): TopFace
    {
        return TopFace::of(TopFile::read($file));
    }

    /** @param array<string, mixed> $file */
    public static function sewn(array $file, Order $order = Order::Rows, SashesSewn $sashes = SashesSewn::Between): TopConstruction
    {
        return TopConstruction::of(self::face($file), new TopOrder($order, $sashes));
    }

    /**
     * A top in any setting, with or without sashes, its blocks lying anyhow; the same for the same seed.
     *
     * @return array<string, mixed>
     */
    public static function generated(int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $onPoint = $seed % 2 === 1;
        [$rows, $columns] = [$random->getInt(1, 3), $random->getInt(2, 3)];
        $over = ['setting' => $onPoint ? 'on-point' : 'straight', 'rows' => $rows, 'columns' => $columns];
        if ($random->getInt(0, 2) > 0) {
            $over['sashes'] = ['width' => ['1', '3/4'][$random->getInt(0, 1)], 'fabric' => 'C', 'outer' => $random->getInt(0, 1) === 1] + ($random->getInt(0, 1) === 1 ? ['cornerstone' => 'B'] : []);
        }
        if ($onPoint) {
            $over['sides'] = $random->getInt(0, 1) === 1 ? ['blocks' => true] : ['fabric' => 'A', 'float' => ['0', '1/2', '1 1/3'][$random->getInt(0, 2)]];
        }
        for ($row = 1; $row <= $rows; ++$row) {
            for ($column = 1; $column <= $columns; ++$column) {
                $over['places'][] = ['row' => $row, 'column' => $column] + match ($random->getInt(0, 4)) {
                    0 => ['fabric' => 'C'],
                    1, 2 => ['block' => 'two', 'turn' => 90 * $random->getInt(0, 3), 'mirrored' => $random->getInt(0, 1) === 1],
                    default => ['block' => 'one', 'turn' => 90 * $random->getInt(0, 3), 'mirrored' => $random->getInt(0, 1) === 1],
                };
            }
        }

        return self::file($over, ['hAB', 'qABCA', '/', 'pC', 'hCB90'], ['pA', 'pB', 'pC', '/', 'gABC', 'pB', 'pA', '/', 'pB', 'hAB', 'pA']);
    }
}
