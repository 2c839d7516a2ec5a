<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Sheets;

use KeenSeam\Core\Drawing\Anchor;
use KeenSeam\Core\Drawing\Area;
use KeenSeam\Core\Drawing\Fitted;
use KeenSeam\Core\Drawing\Pages;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\StageSketch;
use KeenSeam\Core\Drawing\Typesetter;
use KeenSeam\Core\Drawing\UnitSketch;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FabricToBuy;
use KeenSeam\Core\Making\Leftovers;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\Packing;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\SizeText;
use KeenSeam\Core\Making\SquaringUp;
use KeenSeam\Core\Making\Stage;
use KeenSeam\Core\Making\StripSet;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Measure\LengthUnit;

/** What to cut, a box to tick at every stack, with the strips to scale; and how every kind of unit is made. */
final readonly class CutSheet
{
    private const KNIFE = 'Close the blade when you put it down; cut away from yourself, fingers behind the ruler\'s edge. Starch what gets bias edges before you cut it, and air the room.';

    private const IRON = 'Iron: hot plate and steam; never leave it face down, and press up and down without sliding. Take pins out as the needle comes to them. Sew one unit first and measure it, then the rest.';

    /** Of the picture of a stage, and the room between it and its words. */
    private const STAGE = 19.0;

    private LengthUnit $unit;

    public function __construct(private CuttingPlan $plan, private Typesetter $setter, private Palette $palette)
    {
        $this->unit = $plan->construction->face->block->unit;
    }

    public function onto(Pages $pages): void
    {
        $pages->begin('What to cut');
        $pages->add($this->setter->paragraph(self::KNIFE, $pages->width, Typesetter::SMALL, colour: Palette::SOFT), 1.5);
        $near = array_map(static fn (array $pair): string => $pair[0]->letter.' and '.$pair[1]->letter, $this->plan->nearlyEqual());
        if ($near !== []) {
            $pages->add($this->setter->paragraph('Nearly the same size, so keep them apart: '.implode(', ', $near).'.', $pages->width, isBold: true), 1.5);
        }
        foreach ($this->plan->fabric as $fabric => $packing) {
            $this->fabric((string) $fabric, $packing, $pages);
        }
        foreach ($this->plan->strips as $strips) {
            $pages->add($this->setter->ticked($this->setter->paragraph($this->stripWords($strips['set']).' For '.$this->called($strips['for']).'.', Typesetter::tickedWidth($pages->width))));
        }
        foreach (Leftovers::ofAll($this->plan) as $sentence) {
            $pages->add($this->setter->paragraph($sentence, $pages->width));
        }
        if ($this->plan->units === []) {
            return;
        }
        $pages->begin('How the units are made', 60);
        $pages->add($this->setter->paragraph(self::IRON, $pages->width, Typesetter::SMALL, colour: Palette::SOFT), 1.5);
        $width = $pages->column(2);
        $pages->columns(array_merge(...array_map(fn (MadeUnit $made): array => $this->unit($made, $width), $this->plan->units)), 2, 2.2);
    }

    private function fabric(string $key, Packing $packing, Pages $pages): void
    {
        $fabric = $this->plan->construction->face->block->fabrics[$key];
        $cuts = array_values(array_filter($this->plan->cuts, static fn (Cut $cut): bool => $cut->fabric === $key));
        $heading = Fitted::beside(
            $this->swatch($key),
            9,
            $this->setter->paragraph([[$fabric->name, true], [', buy '.FabricToBuy::words($packing->length, $this->unit), false]], $pages->width - 9, Typesetter::HEADING),
        );
        $lines = array_map(fn (Cut $cut): Fitted => $this->setter->ticked($this->setter->paragraph($this->cutWords($cut), Typesetter::tickedWidth($pages->column(2)))), $cuts);
        $pages->add(Fitted::below(1.5, $heading, $lines[0]), 4);
        $pages->columns(array_slice($lines, 1), 2, 1);
        $rows = $this->strips($packing, $pages->width, $key);
        $pages->add(Fitted::below(1, $this->setter->paragraph(sprintf('Strips from selvage to selvage, %s %s, to scale:', $packing->width->toText(), $this->unit->value), $pages->width, Typesetter::SMALL, colour: Palette::SOFT), $rows[0]), 2);
        foreach (array_slice($rows, 1) as $row) {
            $pages->add($row, 0.8);
        }
    }

    private function swatch(string $key): Fitted
    {
        return new Fitted(5.6, [
            Area::rectangle(0, 0.4, 7, 5, $this->palette->face($key), Palette::INK, 0.2),
            ...$this->setter->label($key, 3.5, 4.1, Typesetter::SMALL)->shapes,
        ]);
    }

    /** @return list<array{string, bool}> */
    private function cutWords(Cut $cut): array
    {
        return [
            [$cut->letter.'  ', true],
            [$cut->count.' '.$cut->shape->value.($cut->count === 1 ? '' : 's').' ', false],
            [SizeText::of($cut->width, $cut->height), true],
            [implode('', [
                $cut->then === Then::None ? '' : ", {$cut->then->value} ({$cut->then->biasWords()})",
                $cut->mirrored > 0 ? ", $cut->mirrored of them turned over" : '',
                $cut->template === null ? '' : ', round the template',
                ', for '.$this->called($cut->for),
                $cut->margin === Margin::Larger ? '; larger, to square up' : '',
                $cut->cuttingWords() === '' ? '' : '. '.$cut->cuttingWords(),
            ]), false],
        ];
    }

    /** @param list<string> $labels */
    private function called(array $labels): string
    {
        return implode(', ', array_map($this->plan->called(...), $labels));
    }

    private function stripWords(StripSet $set): string
    {
        $names = array_map(fn (string $fabric): string => $this->plan->construction->face->block->fabrics[$fabric]->name, $set->fabrics);
        $cuts = implode(', ', array_map(static fn (array $cut): string => sprintf('%d of %s', $cut['count'], $cut['width']->toText()), $set->cuts));

        return sprintf('Sew %s of strips: %s; then cut across it: %s.', $set->sets() === 1 ? 'a set' : $set->sets().' sets', implode(', ', $names), $cuts);
    }

    /** @return non-empty-list<Fitted> equal strips that follow each other are drawn once */
    private function strips(Packing $packing, float $width, string $fabric): array
    {
        $rows = [];
        foreach ($packing->strips as $strip) {
            $alike = $strip['height']->toText().' '.implode(' ', array_map(static fn (array $piece): string => $piece['cut']->letter.$piece['width']->toText(), $strip['pieces']));
            $rows[$alike] ??= ['strip' => $strip, 'count' => 0];
            ++$rows[$alike]['count'];
        }
        $scale = ($width - 34) / $packing->width->toFloat();
        $fitted = array_map(function (array $row) use ($scale, $packing, $fabric): Fitted {
            $height = $row['strip']['height']->toFloat() * $scale;
            $shapes = [Area::rectangle(0, 0, $packing->width->toFloat() * $scale, $height, Palette::PAPER, Palette::SOFT, 0.15)];
            $left = 0.0;
            foreach ($row['strip']['pieces'] as $piece) {
                $along = $piece['width']->toFloat() * $scale;
                $shapes[] = Area::rectangle($left, 0, $along, $piece['height']->toFloat() * $scale, $this->palette->face($fabric), Palette::INK, 0.15);
                if ($along > 2.6 && $height > 2.4) {
                    array_push($shapes, ...$this->setter->label($piece['cut']->letter, $left + $along / 2, min($height, $piece['height']->toFloat() * $scale) / 2 + 1, 2.6, Anchor::Middle, true)->shapes);
                }
                $left += $along;
            }
            $words = ($row['count'] > 1 ? $row['count'].' strips of ' : 'a strip of ').$row['strip']['height']->toText();
            $box = Typesetter::box();
            $middle = max($height, $box->height) / 2;

            return new Fitted(max($height, $box->height), [
                ...$box->placed(0, $middle - $box->height / 2),
                ...(new Fitted($height, $shapes))->placed(6, $middle - $height / 2),
                ...$this->setter->label($words, 7.5 + $packing->width->toFloat() * $scale, $middle + 1.1, Typesetter::SMALL, Anchor::Start)->shapes,
            ]);
        }, array_values($rows));

        return $fitted === [] ? [new Fitted(0, [])] : $fitted;
    }

    /** @return non-empty-list<Fitted> its heading with the first stage, then what follows */
    private function unit(MadeUnit $made, float $width): array
    {
        $unit = $made->unit;
        $allowance = $this->plan->bench->sizes->allowance;
        $count = $unit->need + $unit->mirrored;
        $room = $width - 19;
        $about = [
            $this->setter->paragraph([[$count.' '.($count === 1 ? $unit->name : $unit->plural).' ', true], ['('.$unit->label.')', false]], $room, Typesetter::HEADING),
            ...$unit->mirrored > 0 ? [$this->setter->paragraph("$unit->need of this hand, $unit->mirrored mirrored", $room)] : [],
            $this->setter->paragraph([[SizeText::of($unit->width, $unit->height).' '.$this->unit->value.' finished, square up to ', false], [$unit->rawText($allowance), true]], $room),
            $this->setter->paragraph('Made: '.$made->way->words.'.', $room),
            ...array_map(fn (array $says): Fitted => $this->setter->paragraph($says['text'], $room, isBold: $says['wants'] === 'work'), Leftovers::of($made)),
        ];
        $head = Fitted::beside(Fitted::ofSketch(UnitSketch::of($unit, $this->palette), 16), 19, Fitted::below(0.5, ...$about));
        $line = new Fitted(0.4, [Area::rectangle(0, 0, $width, 0.3, Palette::INK)]);
        $pieces = array_map(fn (Piece $piece): Fitted => $this->piece($piece, $made, $width), $made->way->pieces);
        $stages = array_map(fn (Stage $stage): Fitted => $this->stage($stage, $width), $made->way->stages);
        $ruler = SquaringUp::of($unit, $allowance);
        $last = array_map(fn (string $words): Fitted => $this->setter->paragraph($words, $width), [
            $ruler->words.' Two sides first, half a turn, then the other two.',
            ...$made->way->note === '' ? [] : [$made->way->note],
        ]);
        $first = array_shift($stages);

        return [
            Fitted::below(1.2, $line, $head, ...$pieces, ...($first === null ? [] : [$first]))->lowered(1),
            ...$stages,
            ...$last,
        ];
    }

    private function piece(Piece $piece, MadeUnit $made, float $width): Fitted
    {
        $cut = $this->plan->cutOf($piece, $made->unit->label);
        $size = $cut === null ? SizeText::of(...$piece->exact($this->plan->bench->marks)) : SizeText::of($cut->width, $cut->height);
        $count = $piece->countFor($made->batches(), $made->parts, $made->way->parts);
        $words = sprintf('%d %s ', $count, $this->plan->construction->face->block->fabrics[$piece->fabric]->name);

        return Fitted::beside(
            new Fitted(4, [Area::rectangle(0, 0.5, 4.4, 3.6, $this->palette->face($piece->fabric), Palette::INK, 0.2), ...$this->setter->label($piece->fabric, 2.2, 3.2, 2.4)->shapes]),
            6,
            $this->setter->paragraph([[$words, false], [$piece->template === null ? $size : 'round template '.($cut->letter ?? ''), true], [($piece->then === Then::None ? '' : ', '.$piece->then->value).($cut === null ? '' : ', stack '.$cut->letter), false]], $width - 6),
        );
    }

    private function stage(Stage $stage, float $width): Fitted
    {
        if ($stage->cloth === []) {
            return $this->setter->paragraph($stage->words, $width);
        }
        $sketch = StageSketch::of($stage, $this->palette);
        $scale = min(self::STAGE / $sketch->width, self::STAGE / $sketch->height);
        $words = $this->setter->paragraph($stage->words, $width - self::STAGE - 3);
        $height = max($words->height, $sketch->height * $scale);

        return new Fitted($height, [...$sketch->placed((self::STAGE - $sketch->width * $scale) / 2, 0, $scale), ...$words->placed(self::STAGE + 3, ($height - $words->height) / 2)]);
    }
}
