<?php

declare(strict_types=1);

namespace App\Workings;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Top\Design;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFileWriter;
use KeenSeam\Core\Top\TopPlace;
use KeenSeam\Core\Top\TopStart;
use KeenSeam\Core\Top\TurnsAllowed;

/** Changes to a top as changes to its file, which is then read like any other. */
final class TopChanges
{
    /** What can be changed, and how that is told when it is taken back. */
    private const WORDS = [
        'name' => 'Another name',
        'setting' => 'Another setting',
        'rows' => 'Other rows',
        'columns' => 'Other columns',
        'sashes' => 'Other sashes',
        'sides' => 'Other sides',
        'borders' => 'Other borders',
        'turns' => 'What may be turned',
        'piles' => 'Other piles',
        'places' => 'What lies where',
    ];

    /**
     * @param non-empty-array<string, Fabric> $fabrics
     * @param non-empty-array<string, Design> $designs
     *
     * @return array<string, mixed> the file of a new top: two by two, or as many columns as there are blocks
     */
    public static function begun(array $fabrics, array $designs, string $name): array
    {
        $block = $designs[array_key_first($designs)]->block;
        $keys = array_keys($designs);
        $side = max(2, count($keys));
        $places = [];
        for ($row = 0; $row < $side; ++$row) {
            for ($column = 0; $column < $side; ++$column) {
                $places[] = new TopPlace(2 * $row + 2, 2 * $column + 2, $designs[$keys[($row + $column) % count($keys)]]);
            }
        }

        return TopFileWriter::write(new Top($name, $block->unit, $block->seamAllowance, $fabrics, $designs, Setting::Straight, $side, $side, $places, TurnsAllowed::SameFace, [], null, null, []));
    }

    /**
     * @param array<array-key, mixed> $file
     * @param array<array-key, mixed> $change fields in place of the file's; null takes one away; places go beside those that are there
     *
     * @return array{array<array-key, mixed>, string} the changed file, and what the change was
     */
    public static function made(array $file, array $change): array
    {
        $words = 'Changed';
        foreach (array_intersect_key($change, self::WORDS) as $field => $value) {
            $words = self::WORDS[$field];
            if ($field === 'places') {
                $file['places'] = self::laid(is_array($file['places'] ?? null) ? $file['places'] : [], is_array($value) ? $value : []);
            } elseif ($value === null) {
                unset($file[$field]);
            } else {
                $file[$field] = $value;
            }
        }
        if (($file['setting'] ?? '') === Setting::OnPoint->value && ! isset($file['sides'])) {
            // A top on point has sides; to begin with of its first fabric.
            $fabrics = is_array($file['fabrics'] ?? null) ? $file['fabrics'] : [];
            $file['sides'] = ['fabric' => is_array($fabrics[0] ?? null) ? $fabrics[0]['key'] : ''];
        }
        $file['places'] = self::thatAreThere($file);

        return [$file, $words];
    }

    /** @return array<string, mixed> the file of a top with one of its blocks as it is on the shelf now */
    public static function withBlock(Top $top, string $key, Block $block, string $order): array
    {
        $designs = array_map(static fn (Design $design): array => $design->key === $key ? [$block, $order] : [$design->block, $design->order], array_values($top->designs));
        $start = TopStart::of($designs);
        $fresh = array_combine(array_keys($top->designs), array_values($start['designs']));
        $named = array_map(static fn (string $name, Design $design): Design => new Design($name, $design->block, $design->order), array_keys($fresh), $fresh);
        $byName = array_combine(array_keys($top->designs), $named);
        $fabrics = $start['fabrics'] + $top->fabrics;
        $places = array_map(static fn (TopPlace $place): TopPlace => $place->holds instanceof Design ? new TopPlace($place->rowDoubled, $place->columnDoubled, $byName[$place->holds->key], $place->placement) : $place, $top->places);

        return TopFileWriter::write(new Top($top->name, $top->unit, $top->allowance, $fabrics, $byName, $top->setting, $top->rows, $top->columns, $places, $top->turns, $top->piles, $top->sashes, $top->sides, $top->borders));
    }

    /**
     * @param array<array-key, mixed> $there
     * @param array<array-key, mixed> $laid  over them
     *
     * @return list<mixed>
     */
    private static function laid(array $there, array $laid): array
    {
        $places = [];
        foreach ([...$there, ...$laid] as $place) {
            if (is_array($place)) {
                $where = static fn (string $line): string => is_scalar($place[$line] ?? null) ? (string) $place[$line] : '';
                $places[$where('row').'/'.$where('column')] = $place;
            }
        }

        return array_values($places);
    }

    /**
     * Places that a smaller or another setting leaves.
     *
     * @param array<array-key, mixed> $file
     *
     * @return list<mixed>
     */
    private static function thatAreThere(array $file): array
    {
        $isOnPoint = ($file['setting'] ?? '') === Setting::OnPoint->value;
        $sides = is_array($file['sides'] ?? null) ? $file['sides'] : [];
        $rim = $isOnPoint && ($sides['blocks'] ?? false) === true ? 1 : 0;
        $isThere = static function (mixed $line, mixed $last) use ($isOnPoint, $rim): bool {
            $doubled = TopPlace::doubled(is_scalar($line) ? (string) $line : '');

            return $doubled !== null && ($isOnPoint || $doubled % 2 === 0) && $doubled >= 2 - $rim && $doubled <= 2 * (is_int($last) ? $last : 0) + $rim;
        };

        return array_values(array_filter(
            is_array($file['places'] ?? null) ? $file['places'] : [],
            static fn (mixed $place): bool => is_array($place) && $isThere($place['row'] ?? null, $file['rows'] ?? null) && $isThere($place['column'] ?? null, $file['columns'] ?? null),
        ));
    }
}
