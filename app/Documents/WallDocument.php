<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Wall\History;
use App\Wall\MeantSo;
use App\Wall\Walls;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Layout\Difference;
use KeenSeam\Core\Layout\HandCount;
use KeenSeam\Core\Layout\LayoutWords;
use KeenSeam\Core\Layout\OddOnesOut;
use KeenSeam\Core\Layout\Pointing;
use KeenSeam\Core\Layout\Signature;
use KeenSeam\Core\Layout\TooClose;
use KeenSeam\Core\Layout\Wall;
use KeenSeam\Core\Making\FriendlySizes;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;

/** Everything the wall draws: the face of the grid that is open, its cells and what is to be said of each. */
final readonly class WallDocument
{
    private Face $face;

    /** @var list<PlacedUnit> */
    private array $units;

    private function __construct(
        private ShelfBlock $block,
        private Wall $wall,
        private Block $picture,
        Face $face,
    ) {
        $this->face = $face;
        $this->units = array_values(array_filter($face->whole->parts, static fn ($part): bool => $part instanceof PlacedUnit));
    }

    /**
     * While a small grid is open, of that.
     *
     * @param Face|null $face where it is known already
     *
     * @return array<string, mixed>
     */
    public static function shown(Walls $walls, ShelfBlock $block, Wall $wall, ?Face $face = null): array
    {
        return self::of($block, $wall, $face ?? Face::of($wall->open()->asBlock()), $walls->picture($block));
    }

    /**
     * @param Block|null $picture the layout to match
     *
     * @return array<string, mixed>
     */
    public static function of(ShelfBlock $block, Wall $wall, Face $face, ?Block $picture): array
    {
        return (new self($block, $wall, $picture ?? $wall->block, $face))->toArray();
    }

    /** @return array<string, mixed> */
    private function toArray(): array
    {
        $odd = OddOnesOut::of($this->face);
        $sizes = FriendlySizes::of($this->face);
        $open = $this->face->block;
        $counts = HandCount::allOn($this->face);

        return [
            'block' => ['id' => $this->block->id, 'name' => $this->block->name, 'version' => $this->block->version],
            'history' => History::around($this->block),
            'face' => $this->faceArray(),
            'path' => implode('/', array_map(static fn (array $place): string => implode('.', $place), $this->wall->path)),
            'alike' => $this->wall->open()->alike(),
            'firstPatch' => $this->wall->open()->firstPatch(),
            'columns' => $this->lines($open->grid->columns, $open->finishedWidth),
            'rows' => $this->lines($open->grid->rows, $open->finishedHeight),
            'cells' => $this->cells($odd, $counts),
            'trios' => (object) $this->trios(),
            'firstFigure' => $this->wall->cloths()->figure()->key,
            'symmetry' => ['name' => $odd->symmetry->value, 'words' => $odd->symmetry->words()],
            'hands' => array_map(static fn (HandCount $hands): array => [
                'class' => $hands->label,
                'plural' => $hands->plural,
                'left' => count($hands->left),
                'right' => count($hands->right),
            ], $counts),
            'says' => [
                ...($this->isBlank() ? [] : [['text' => LayoutWords::symmetry($odd->symmetry, $odd->isBorneOut ? $this->odd($odd) : 0), 'wants' => 'care']]),
                ...array_map(static fn (TooClose $pair): array => ['text' => LayoutWords::tooClose($pair), 'wants' => 'work'], TooClose::allOn($this->face)),
            ],
            'asks' => $this->asks($odd),
            'awkward' => array_map(fn (Length $side): string => $side->toText($open->unit), $sizes->awkward),
            'friendly' => array_map(fn (array $size): array => [$size[0]->toText($open->unit), $size[1]->toText($open->unit)], $sizes->nearest),
            'allowance' => $open->seamAllowance->toText($open->unit),
            'hasPicture' => $this->block->picture !== null,
            'wholeDifference' => $this->differences()[0] ?? null,
            'order' => $this->block->orderId(),
            'style' => $this->block->style->value,
        ];
    }

    /** Nothing but one plain fabric. */
    private function isBlank(): bool
    {
        return count(array_unique(array_map(static fn (Patch $patch): string => $patch->fabric->key, $this->face->patches))) === 1;
    }

    /** @return list<array{words: string, places: list<array{int, int}>, isOut: bool}> whole sets that point one way, unless she said so */
    private function asks(OddOnesOut $found): array
    {
        $meant = new MeantSo($this->block->meant, $this->wall->path);
        $asked = [];
        foreach (Pointing::setsOn($this->face, $found) as $set) {
            if (array_filter($set->units, static fn (PlacedUnit $unit): bool => ! $meant->holds($unit)) !== []) {
                $asked[] = [
                    'words' => $set->words(UnitName::of($set->units[0], true)),
                    'places' => array_map(static fn (PlacedUnit $unit): array => [$unit->cell->row, $unit->cell->column], $set->units),
                    'isOut' => $set->isOut,
                ];
            }
        }

        return $asked;
    }

    /** How many are odd and not meant to be so. */
    private function odd(OddOnesOut $found): int
    {
        $meant = new MeantSo($this->block->meant, $this->wall->path);
        $odd = [];
        foreach ($found->odd as $one) {
            $odd[$one->cell->row][$one->cell->column] = true;
        }

        return count(array_filter($this->units, static fn (PlacedUnit $unit): bool => isset($odd[$unit->cell->row][$unit->cell->column]) && ! $meant->holds($unit)));
    }

    /** @return array<string, array{string, string}> ground and second figure that a unit from the tray gets, by its figure */
    private function trios(): array
    {
        return array_map(function (Fabric $fabric): array {
            [, $ground, $second] = $this->wall->cloths()->three($fabric->key);

            return [$ground->key, $second->key];
        }, $this->face->block->fabrics);
    }

    /** @return array<string, mixed> */
    private function faceArray(): array
    {
        $face = FaceDocument::of($this->face);
        $face['fabrics'] = array_map(fn (Fabric $fabric): array => [
            'key' => $fabric->key,
            'name' => $fabric->name,
            'color' => $fabric->color,
            'value' => $fabric->value->value,
            'proposed' => FabricValue::proposedFor($fabric->color)->value,
            'swatch' => $this->block->swatches[$fabric->key] ?? null,
        ], array_values($this->face->block->fabrics));

        return $face;
    }

    /**
     * @param list<Fraction> $shares
     *
     * @return list<array{size: string, width: float}> finished
     */
    private function lines(array $shares, Length $whole): array
    {
        $unit = $this->face->block->unit;
        $sum = array_reduce($shares, static fn (Fraction $sum, Fraction $share): Fraction => $sum->plus($share), Fraction::zero());

        return array_map(static function (Fraction $share) use ($whole, $sum, $unit): array {
            $size = $whole->in($unit)->times($share)->dividedBy($sum);

            return ['size' => $size->toText(), 'width' => $size->toFloat()];
        }, $shares);
    }

    /**
     * @param list<HandCount> $counts
     *
     * @return list<array<string, mixed>>
     */
    private function cells(OddOnesOut $found, array $counts): array
    {
        $meant = new MeantSo($this->block->meant, $this->wall->path);
        [$odd, $different, $hands] = [[], $this->differencesByCell(), $this->hands($counts)];
        // Of two that only differ from each other, on a wall that has nothing else yet, neither is odd.
        foreach ($found->isBorneOut ? $found->odd : [] as $one) {
            $odd[$one->cell->row][$one->cell->column] = $one;
        }

        return array_map(function (PlacedUnit $unit) use ($odd, $different, $hands, $meant): array {
            $cell = $unit->cell;
            $here = $odd[$cell->row][$cell->column] ?? null;

            return [
                'row' => $cell->row,
                'column' => $cell->column,
                'rowSpan' => $cell->rowSpan,
                'columnSpan' => $cell->columnSpan,
                'kind' => $cell->unit->kind(),
                'name' => UnitName::of($unit, false),
                'turn' => $cell->placement->turn->value,
                'mirrored' => $cell->placement->mirrored,
                'label' => $cell->label,
                'patches' => array_map(static fn (Patch $patch): int => $patch->id, $unit->patches()),
                'signature' => Signature::of($unit),
                'hand' => $hands[spl_object_id($unit)] ?? null,
                'odd' => $here === null ? null : [
                    'mend' => LookDocument::placement($here->mend),
                    'isMeant' => $meant->holds($unit),
                ],
                'different' => $different[$cell->row][$cell->column] ?? null,
                'corners' => $cell->unit instanceof FlippedCornersUnit ? $this->corners($cell, $cell->unit) : null,
                'entry' => BlockFileWriter::cell($cell, $this->face->block),
            ];
        }, $this->units);
    }

    /** @return array<string, string> finished leg by corner, as they are seen on the face */
    private function corners(Cell $cell, FlippedCornersUnit $unit): array
    {
        $legs = [];
        foreach ($unit->corners as $corner) {
            $legs[$corner->corner->moved($cell->placement)->value] = $corner->finishedLeg->toText($this->face->block->unit);
        }

        return $legs;
    }

    /**
     * @param list<HandCount> $counts
     *
     * @return array<int, string> left or right, by the unit's object
     */
    private function hands(array $counts): array
    {
        $hands = [];
        foreach ($counts as $count) {
            foreach (['left' => $count->left, 'right' => $count->right] as $hand => $units) {
                foreach ($units as $unit) {
                    $hands[spl_object_id($unit)] = $hand;
                }
            }
        }

        return $hands;
    }

    /** @return list<string> what concerns the whole layout */
    private function differences(): array
    {
        return $this->block->picture === null ? [] : array_values(array_map(
            static fn (Difference $difference): string => $difference->text,
            array_filter(Difference::between($this->picture, $this->wall->block), static fn (Difference $difference): bool => $difference->cell === null),
        ));
    }

    /** @return array<int, array<int, string>> by row and column; none while a small grid is open */
    private function differencesByCell(): array
    {
        $texts = [];
        foreach ($this->block->picture === null || $this->face->block !== $this->wall->block ? [] : Difference::between($this->picture, $this->wall->block) as $difference) {
            if ($difference->cell !== null) {
                $texts[$difference->cell->row][$difference->cell->column] = $difference->text;
            }
        }

        return $texts;
    }
}
