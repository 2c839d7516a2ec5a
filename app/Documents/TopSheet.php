<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Workings\WorkedTops;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Layout\OddOnesOut;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Making\TopBorders;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Measure\Surd;
use KeenSeam\Core\Top\Border;
use KeenSeam\Core\Top\Design;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFace;
use KeenSeam\Core\Top\TopPart;
use KeenSeam\Core\Top\TopPlace;

/** A top as the screens draw it: each block once, and where its copies lie. */
final readonly class TopSheet
{
    public function __construct(private WorkedTops $tops) {}

    /** @return array<string, mixed> */
    public function of(ShelfTop $kept): array
    {
        $top = $this->tops->top($kept);
        $changed = [];
        $blocks = ShelfBlock::query()->findMany(array_column($kept->blocks, 'id'))->keyBy('id');
        foreach ($kept->blocks as $key => $taken) {
            $block = $blocks->get($taken['id']);
            if ($block !== null && isset($top->designs[$key]) && ShelfTop::sum($block) !== $taken['sum']) {
                $changed[] = ['key' => (string) $key, 'name' => $block->name];
            }
        }

        $face = TopFace::of($top);

        return [
            'id' => $kept->id,
            'name' => $kept->name,
            'version' => $kept->version,
            'undo' => $kept->earlier === [] ? null : $kept->earlier[count($kept->earlier) - 1]['words'],
            'changed' => $changed,
            'picture' => self::picture($face),
            'odd' => self::odd($face),
            'fields' => self::fields($top),
            'sewing' => ['order' => $kept->order->value, 'sashes' => $kept->sashes->value, 'chain' => $kept->chain->value, 'preference' => $kept->preference->value, 'preferences' => array_map(static fn (Preference $one): array => ['preference' => $one->value, 'words' => $one->words()], Preference::cases()), 'orders' => self::orders($top)],
            'holds' => self::holds($kept, $top),
            'sizes' => self::sizes($top),
        ];
    }

    /** @return array{symmetry: string, places: list<array{row: string, column: string, turn: int, mirrored: bool}>}|null the blocks that break how the rest lie, and how they would have to lie; null where none does */
    private static function odd(TopFace $face): ?array
    {
        $bare = $face->top->sashes === null ? $face : TopFace::of($face->top->withoutSashes());
        $setting = $face->top->setting;
        $found = OddOnesOut::of($bare->placesOnly(), $setting === Setting::OnPoint);
        $places = [];
        foreach ($found->odd as $odd) {
            $place = $bare->placeAt($odd->cell);
            $places[] = [...$place->told($setting), 'turn' => $odd->mend->turn->value, 'mirrored' => $odd->mend->mirrored];
        }

        return $places === [] ? null : ['symmetry' => $found->symmetry->words(), 'places' => $places];
    }

    /** @return array<string, mixed> */
    public static function picture(TopFace $face): array
    {
        $lattice = $face->face->lattice;
        $top = $face->top;

        return [
            'isOnPoint' => $top->setting === Setting::OnPoint,
            'outline' => self::corners($face->face->outline()->points, $lattice),
            'fabrics' => array_map(static fn (Fabric $fabric): array => ['key' => $fabric->key, 'name' => $fabric->name, 'color' => $fabric->color, 'value' => $fabric->value->value], array_values($top->fabrics)),
            'blocks' => array_values(array_map(static fn (Design $design): array => [
                'key' => $design->key,
                'width' => $design->block->finishedWidth->in($top->unit)->toFloat(),
                'height' => $design->block->finishedHeight->in($top->unit)->toFloat(),
                'patches' => array_map(static fn (Patch $patch): array => self::patch($patch, $face->designs[$design->key]->lattice), $face->designs[$design->key]->patches),
            ], $top->designs)),
            'places' => array_values(array_filter(array_map(static fn (TopPart $part): ?array => self::place($part, $face), $face->parts))),
            // What is no place: sashes, cornerstones and plain sides.
            'pieces' => array_merge(...array_map(static fn (TopPart $part): array => $part->place === null ? array_map(static fn (PlacedUnit $unit): array => self::patch($unit->patches()[0], $lattice), $part->units) : [], $face->parts)),
            'borders' => array_map(static fn (Border $border): array => ['width' => $border->width->in($top->unit)->toFloat(), 'fabric' => $border->fabric->key, 'corners' => $border->corners?->key], $top->borders),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function place(TopPart $part, TopFace $face): ?array
    {
        $place = $part->place;
        if ($place === null) {
            return null;
        }
        $lattice = $face->face->lattice;
        $setting = $face->top->setting;
        $corner = $part->units[0]->outline->corner();
        $isWhole = $part->origins === null;

        return [
            ...$place->told($setting),
            'at' => FaceDocument::point($corner, $lattice),
            'block' => $place->holds instanceof Design ? $place->holds->key : null,
            'fabric' => $place->holds instanceof Fabric ? $place->holds->key : null,
            'turn' => $place->placement->turn->value,
            'mirrored' => $place->placement->mirrored,
            // What the edge leaves of a block is drawn piece by piece.
            'pieces' => $isWhole ? [] : array_map(static fn (PlacedUnit $unit): array => self::patch($unit->patches()[0], $lattice), $part->units),
        ];
    }

    /** @return array{fabric: string, points: list<array{float, float}>} */
    private static function patch(Patch $patch, Lattice $lattice): array
    {
        return ['fabric' => $patch->fabric->key, 'points' => self::corners($patch->outline->points, $lattice)];
    }

    /**
     * @param list<Point> $points
     *
     * @return list<array{float, float}>
     */
    private static function corners(array $points, Lattice $lattice): array
    {
        return array_map(static fn (Point $point): array => FaceDocument::point($point, $lattice), $points);
    }

    /** @return array<string, mixed> what can be changed, as the file has it */
    private static function fields(Top $top): array
    {
        $unit = $top->unit;

        return [
            'units' => $unit->value,
            'setting' => $top->setting->value,
            'rows' => $top->rows,
            'columns' => $top->columns,
            'turns' => $top->turns->value,
            'piles' => array_map(static fn (Design $design): array => ['block' => $design->key, 'piles' => $top->pilesOf($design)], array_values($top->designs)),
            'sashes' => $top->sashes === null ? null : ['width' => $top->sashes->width->toText($unit), 'fabric' => $top->sashes->fabric->key, 'cornerstone' => $top->sashes->cornerstone?->key, 'outer' => $top->sashes->outer],
            'sides' => $top->sides === null ? null : ['fabric' => $top->sides->fabric?->key, 'float' => $top->sides->float->toText($unit)],
            'borders' => array_map(static fn (Border $border): array => ['width' => $border->width->toText($unit), 'fabric' => $border->fabric->key, 'square' => $border->corners?->key], $top->borders),
        ];
    }

    /** @return array{places: list<array{row: string, column: string}>, piles: list<array{pile: string, seams: list<string>}>, seams: list<string>} seams by where they lie */
    private static function holds(ShelfTop $kept, Top $top): array
    {
        // Of a top that was made smaller, places that are not there are held to no effect.
        $places = array_filter(array_map($top->placeOf(...), $kept->holds['places']));

        return [
            'places' => array_values(array_map(static fn (TopPlace $place): array => $place->told($top->setting), $places)),
            'piles' => array_map(static fn (string $pile, array $seams): array => ['pile' => $pile, 'seams' => array_map(strval(...), array_keys($seams))], array_map(strval(...), array_keys($kept->holds['piles'])), $kept->holds['piles']),
            'seams' => array_map(strval(...), array_keys($kept->holds['seams'])),
        ];
    }

    /** @return list<array{order: string, words: string}> in which the top may be sewn together */
    private static function orders(Top $top): array
    {
        $orders = [Order::Rows, Order::Columns, Order::Quarters, Order::Twos, ...($top->setting === Setting::OnPoint ? [Order::Diagonal] : [])];

        return array_map(static fn (Order $order): array => ['order' => $order->value, 'words' => $order->words()], $orders);
    }

    /** @return array{block: string, finished: list<string>, raw: list<string>} to the ruler's marks */
    private static function sizes(Top $top): array
    {
        $two = $top->allowance->times(2)->in($top->unit)->toFloat();
        $size = array_map(static fn (Surd $side): float => $side->toFloat(), TopBorders::size($top));
        $block = $top->firstDesign()->block;

        return [
            'block' => $block->finishedWidth->toText($top->unit).($block->finishedWidth->equals($block->finishedHeight) ? '' : ' x '.$block->finishedHeight->toText($top->unit)),
            'finished' => array_map(static fn (float $side): string => Amount::rounded($side, $top->unit), $size),
            'raw' => array_map(static fn (float $side): string => Amount::rounded($side + $two, $top->unit), $size),
        ];
    }
}
