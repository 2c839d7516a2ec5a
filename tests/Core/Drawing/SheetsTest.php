<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\OrderReport;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Drawing\Anchor;
use KeenSeam\Core\Drawing\Area;
use KeenSeam\Core\Drawing\Fitted;
use KeenSeam\Core\Drawing\GrowthSketch;
use KeenSeam\Core\Drawing\Hanging;
use KeenSeam\Core\Drawing\Lettering;
use KeenSeam\Core\Drawing\Pages;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Paper;
use KeenSeam\Core\Drawing\SeamRulerSketch;
use KeenSeam\Core\Drawing\Sheets\CutSheet;
use KeenSeam\Core\Drawing\Sheets\JoinsSheet;
use KeenSeam\Core\Drawing\Sheets\OrderSheet;
use KeenSeam\Core\Drawing\Sheets\PressSheet;
use KeenSeam\Core\Drawing\Sheets\SheetKind;
use KeenSeam\Core\Drawing\Sheets\StepSheet;
use KeenSeam\Core\Drawing\Sheets\TemplateSheet;
use KeenSeam\Core\Drawing\Sketch;
use KeenSeam\Core\Drawing\StageSketch;
use KeenSeam\Core\Drawing\StateMark;
use KeenSeam\Core\Drawing\Stroke;
use KeenSeam\Core\Drawing\Svg;
use KeenSeam\Core\Drawing\TopMapSketch;
use KeenSeam\Core\Drawing\Typesetter;
use KeenSeam\Core\Drawing\TypeWidths;
use KeenSeam\Core\Drawing\UnitSketch;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\TopWords;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Stage;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TopPlanner;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;
use Tests\Support\Tops;

/** Sheets as they are set: every word has its place, nothing lies on anything else, sizes are those of the plan. */
final class SheetsTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function blocks(): iterable
    {
        yield 'known units' => [Blocks::generated(5, 4, 4)];
        yield 'drawn patches' => [Blocks::slantedPatches(4, 6)];
        yield 'large drawn patches' => [Blocks::slantedPatches(3, 4, '26')];
        yield 'geese' => [Blocks::inwardGeese()];
        yield 'millimetres' => [['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '240', 'height' => '180']] + Blocks::generated(9, 4, 3)];
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_no_words_lie_on_each_other_and_everything_keeps_to_the_margins(array $file): void
    {
        foreach (self::sheets($file) as $kind => $pages) {
            self::assertNotSame([], $pages);
            foreach ($pages as $number => $page) {
                self::assertSame([0.0, 0.0, 215.9, 279.4], [$page->left, $page->top, $page->width, $page->height]);
                $boxes = [];
                foreach ($page->shapes as $shape) {
                    // Half of a joining mark lies past the edge of its part.
                    foreach ($shape instanceof Area && $shape->part === 'joining-mark' ? [] : self::places($shape) as [$x, $y]) {
                        self::assertTrue($x >= 12.7 && $x <= 203.2 && $y >= 12.7 && $y <= 266.7, sprintf('%s, page %d: %.1f, %.1f of %s', $kind, $number + 1, $x, $y, $shape instanceof Lettering ? $shape->text : $shape::class));
                    }
                    if ($shape instanceof Lettering && trim($shape->text) !== '') {
                        $boxes[] = [$shape, self::left($shape), self::left($shape) + self::type()->width(rtrim($shape->text), $shape->size, $shape->isBold)];
                    }
                }
                foreach ($boxes as $i => [$one, $left, $right]) {
                    foreach (array_slice($boxes, $i + 1) as [$other, $otherLeft, $otherRight]) {
                        $isBeside = $right <= $otherLeft + 0.15 || $otherRight <= $left + 0.15;
                        $isApart = abs($one->y - $other->y) >= 0.62 * min($one->size, $other->size);
                        self::assertTrue($isBeside || $isApart, sprintf('%s, page %d: "%s" on "%s"', $kind, $number + 1, $one->text, $other->text));
                    }
                }
            }
        }
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_a_page_is_left_only_when_the_next_thing_has_no_room(array $file): void
    {
        foreach (self::sheets($file) as $kind => $pages) {
            foreach ($kind === SheetKind::Templates->value ? [] : array_slice($pages, 0, -1) as $number => $page) {
                $lowest = max([0.0, ...array_map(static fn (array $place): float => $place[1], array_merge(...array_map(self::places(...), array_slice($page->shapes, 0, -3))))]);
                self::assertGreaterThan(135, $lowest, "$kind, page ".($number + 1).' ends half way down');
            }
        }
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_every_stack_its_size_and_all_strips_stand_on_the_cutting_sheet(array $file): void
    {
        $plan = self::cutting($file);
        $text = self::text(self::sheets($file)['cut']);
        foreach ($plan->cuts as $cut) {
            self::assertStringContainsString(sprintf('%s  %d %s', $cut->letter, $cut->count, $cut->shape->value), $text);
        }
        foreach ($plan->units as $made) {
            self::assertStringContainsString(($made->unit->need + $made->unit->mirrored).' ', $text);
            self::assertStringContainsString('('.$made->unit->label.')', $text);
        }
        $strips = array_sum(array_map(static fn ($packing): int => count($packing->strips), $plan->fabric));
        preg_match_all('~(?:(\d+) strips|a strip) of ~', $text, $told, PREG_SET_ORDER);
        self::assertSame($strips, array_sum(array_map(static fn (array $one): int => ($one[1] ?? '') === '' ? 1 : (int) $one[1], $told)));
    }

    public function test_templates_are_as_large_as_they_are_cut_and_parts_make_the_whole(): void
    {
        foreach ([[Blocks::slantedPatches(4, 6, '7'), 25.4, 25.4], [Blocks::slantedPatches(3, 4, '26'), 25.4, 25.4], [['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '150', 'height' => '150']] + Blocks::slantedPatches(8, 5), 1.0, 50.0]] as [$file, $scale, $square]) {
            $cuts = array_filter(self::cutting($file)->cuts, static fn (Cut $cut): bool => $cut->template !== null);
            $drawn = 0.0;
            foreach (self::sheets($file)['templates'] as $page) {
                $squares = array_filter($page->shapes, static fn ($shape): bool => $shape instanceof Area && $shape->part === 'test-square');
                self::assertCount(1, $squares);
                self::assertEqualsWithDelta($square, current($squares)->corners()[1][0] - current($squares)->corners()[0][0], 1e-9);
                self::assertEqualsWithDelta($square, current($squares)->corners()[2][1] - current($squares)->corners()[0][1], 1e-9);
                foreach ($page->shapes as $shape) {
                    $drawn += $shape instanceof Area && $shape->part === 'template' ? self::round($shape->corners()) : ($shape instanceof Stroke && $shape->part === 'template' ? hypot($shape->points()[1][0] - $shape->points()[0][0], $shape->points()[1][1] - $shape->points()[0][1]) : 0.0);
                }
            }
            $whole = array_sum(array_map(static fn (Cut $cut): float => array_sum($cut->template?->sides($cut->margin) ?? []) * $scale, $cuts));
            self::assertEqualsWithDelta($whole, $drawn, 0.01);
        }
        $marks = [];
        foreach (self::sheets(Blocks::slantedPatches(3, 4, '26'))['templates'] as $page) {
            foreach ($page->shapes as $i => $shape) {
                if ($shape instanceof Area && $shape->part === 'joining-mark') {
                    $label = $page->shapes[$i + 1];
                    self::assertInstanceOf(Lettering::class, $label);
                    $marks[] = $label->text;
                }
            }
        }
        self::assertNotSame([], $marks);
        self::assertSame([], array_filter(array_count_values($marks), static fn (int $count): bool => $count % 2 === 1));
        foreach (self::sheets(Blocks::slantedPatches(3, 4, '26'))['templates'] as $page) {
            $lines = array_filter($page->shapes, static fn ($shape): bool => $shape instanceof Stroke && $shape->part === 'joining');
            if (preg_match('~part 1 of~', self::text([$page])) === 1) {
                foreach ($lines as $line) {
                    self::assertGreaterThan(14, max(array_column($line->points(), 0)), 'the left edge of the whole is none where parts meet');
                    self::assertGreaterThan(27, max(array_column($line->points(), 1)));
                }
                self::assertNotSame([], $lines);
            }
        }
        self::assertStringContainsString('No template is needed', self::text(self::sheets(Blocks::inwardGeese())['templates']));
    }

    public function test_the_film_grows_by_what_is_sewn_on_each_trip(): void
    {
        $construction = Blocks::construction(Blocks::generated(6, 3, 3));
        $report = OrderReport::of($construction);
        $gaps = array_map(static fn (int $trips): int => count(array_filter(GrowthSketch::of($construction, $report, $trips, Palette::blank())->shapes, static fn ($shape): bool => $shape instanceof Stroke && $shape->part === 'gap')), range(0, $report->chainBatches));
        $left = array_map(static fn (int $trips): int => count(array_filter($construction->joins, static fn (Join $join): bool => $report->batchOf[$join->id] > $trips)), range(0, $report->chainBatches));
        self::assertSame($left, $gaps);
        self::assertSame([count($construction->joins), 0], [$gaps[0], end($gaps)]);
        $text = self::text(self::sheets(Blocks::generated(6, 3, 3))['order']);
        self::assertStringContainsString("after trip $report->chainBatches", $text);
        self::assertStringContainsString(count($construction->joins).' seams', $text);
    }

    public function test_marks_of_a_ruler_lie_where_they_are_measured(): void
    {
        $plan = self::plan(Blocks::generated(7, 3, 3));
        $drift = new Drift($plan, TakeUp::ideal($plan->construction->face->block), SquareUp::Units);
        $checked = 0;
        foreach ($drift->sheets as $sheet) {
            $zero = max($sheet->ends[0]->reach);
            $scale = 150 / ($zero + max($sheet->real) + max($sheet->ends[1]->reach));
            $fitted = SeamRulerSketch::of($sheet, Palette::blank(), self::setter(), LengthUnit::Inch, 150);
            $pins = array_values(array_filter($fitted->shapes, static fn ($shape): bool => $shape instanceof Stroke && $shape->part === 'pin'));
            self::assertCount(count($sheet->marks), $pins);
            foreach ($sheet->marks as $i => $mark) {
                foreach ([0, 1] as $side) {
                    self::assertEqualsWithDelta(($zero - $sheet->ends[0]->reach[$side] + $mark->fromEdge[$side]) * $scale, $pins[$i]->points()[$side][0], 1e-9);
                }
                ++$checked;
            }
            $edges = array_filter($fitted->shapes, static fn ($shape): bool => $shape instanceof Area && $shape->part === 'edge');
            self::assertCount(count($sheet->edges[0]) + count($sheet->edges[1]), $edges);
            foreach ($fitted->shapes as $shape) {
                foreach (self::places($shape) as [, $y]) {
                    self::assertTrue($y >= -0.01 && $y <= $fitted->height, 'within its height');
                }
            }
            self::assertLessThanOrEqual(150.01, max(array_map(static fn (Area $edge): float => max(array_column($edge->corners(), 0)), $edges)));
        }
        self::assertGreaterThan(10, $checked);
    }

    public function test_steps_are_numbered_and_joins_that_want_care_told_with_their_places(): void
    {
        $file = Blocks::inwardGeese();
        $plan = self::plan($file);
        $text = self::text(self::sheets($file)['steps']);
        foreach (PlanSteps::of($plan) as $i => $step) {
            self::assertStringContainsString(($i + 1).'  '.$step->title.'.', $text);
        }
        $joins = self::text(self::sheets($file)['joins']);
        $drift = new Drift($plan, TakeUp::ideal($plan->construction->face->block), SquareUp::Units);
        foreach ($drift->sheets as $sheet) {
            foreach ($sheet->marks as $mark) {
                self::assertStringContainsString(Amount::rounded($mark->fromEdge[0], LengthUnit::Inch), $joins);
            }
        }
        $press = self::text(self::sheets($file)['press']);
        self::assertStringContainsString(sprintf('%d crossings: %d nested', count($plan->matches), $plan->count(Nesting::Nested)), $press);
        self::assertStringContainsString('Row 1:', $press);
    }

    public function test_words_are_broken_between_words_and_fractions_stand_whole(): void
    {
        $setter = self::setter();
        $width = $setter->width('one two three ', 4, false);
        $set = $setter->paragraph('one two three four five six', $width, 4);
        self::assertSame(['one two three ', 'four five six'], array_map(static fn ($shape): string => $shape instanceof Lettering ? $shape->text : '', $set->shapes));
        self::assertEqualsWithDelta(2 * 4 * 1.28, $set->height, 1e-9);
        [$first, $second] = self::lettering($set);
        self::assertEqualsWithDelta(4 * 1.28, $second->y - $first->y, 1e-9);
        $mixed = self::lettering($setter->paragraph([['cut 2 7/8 in', true]], 100, 4));
        self::assertSame(["cut 2\u{a0}", '7', '/', '8', ' in'], array_map(static fn (Lettering $one): string => $one->text, $mixed));
        self::assertTrue($mixed[1]->size < $mixed[0]->size && $mixed[1]->y < $mixed[3]->y && $mixed[3]->y === $mixed[0]->y);
        self::assertEqualsWithDelta($mixed[3]->x + self::type()->width('8', $mixed[3]->size, true), $mixed[4]->x, 1e-9);
        self::assertSame(2, count($setter->paragraph(str_repeat('x', 30), self::type()->width(str_repeat('x', 20), 4, false), 4)->shapes), 'a word wider than the line is broken');
        self::assertSame('abc…', $setter->clipped('abcdefgh', $setter->width('abc…', 3, false), 3));
        $ends = array_map(static fn (Anchor $anchor): float => self::lettering($setter->label('abcd', 50, 0, 4, $anchor))[0]->x, Anchor::cases());
        self::assertEqualsWithDelta([50, 46, 42], $ends, 1e-9);
        self::assertSame(['page 1 of 2', 'page 2 of 2'], array_map(static fn (Sketch $page): string => self::text([new Sketch(0, 0, 1, 1, array_slice($page->shapes, -1))]), self::paged()));
    }

    public function test_columns_are_filled_in_order_and_end_level(): void
    {
        $pages = new Pages(Paper::A4, self::setter(), 'Ebb', 'Ebb, 12 in');
        $part = static fn (int $i): Fitted => new Fitted(20, [Area::rectangle(0, 0, 10, 20, null, '#000', 0.1, "part $i")]);
        $pages->columns(array_map($part, range(0, 29)), 2, 2);
        $places = [];
        foreach ($pages->done() as $number => $page) {
            foreach ($page->shapes as $shape) {
                if ($shape instanceof Area && str_starts_with($shape->part, 'part')) {
                    $places[(int) substr($shape->part, 5)] = [$number, round($shape->corners()[0][0]), round($shape->corners()[0][1])];
                }
            }
        }
        ksort($places);
        self::assertSame(range(0, 29), array_keys($places));
        $sorted = $places;
        sort($sorted);
        self::assertSame($sorted, array_values($places), 'down, then across, then on the next page');
        $last = array_filter($places, static fn (array $place): bool => $place[0] === 1);
        $each = array_count_values(array_map(static fn (array $place): string => (string) $place[1], $last));
        self::assertLessThanOrEqual(1, max($each) - min($each));
        self::assertSame(22.0, $places[1][2] - $places[0][2]);
    }

    public function test_stages_show_every_cloth_stitch_and_cut(): void
    {
        $count = 0;
        foreach (self::cutting(Blocks::generated(5, 4, 4))->units as $made) {
            foreach ($made->way->stages as $stage) {
                if ($stage->cloth === []) {
                    continue;
                }
                $sketch = StageSketch::of($stage, Palette::blank());
                $of = static fn (string $part): int => count(array_filter($sketch->shapes, static fn ($shape): bool => $shape instanceof Stroke && $shape->part === $part));
                self::assertSame([count($stage->marks), count($stage->stitches), count($stage->knives)], [$of('mark'), $of('stitches'), $of('knife')]);
                self::assertCount(self::shown($stage), array_filter($sketch->shapes, static fn ($shape): bool => $shape instanceof Area));
                foreach ($sketch->shapes as $shape) {
                    foreach (self::places($shape) as [$x, $y]) {
                        self::assertTrue($x >= $sketch->left && $y >= $sketch->top && $x <= $sketch->left + $sketch->width + 1e-6 && $y <= $sketch->top + $sketch->height + 1e-6);
                    }
                }
                ++$count;
            }
            $icon = UnitSketch::of($made->unit, Palette::blank());
            self::assertSame($icon->width, $icon->height);
            self::assertEqualsWithDelta($made->unit->width->toFloat() * $made->unit->height->toFloat(), array_sum(array_map(static fn ($shape): float => $shape instanceof Area ? self::area($shape->corners()) : 0.0, $icon->shapes)), 0.01);
        }
        self::assertGreaterThan(8, $count);
    }

    public function test_a_top_has_every_block_on_its_map_with_its_pile_and_turn(): void
    {
        $face = Tops::face(Tops::file(['columns' => 3, 'turns' => 'any', 'borders' => [['width' => '2', 'fabric' => 'A']]], Tops::PINWHEEL));
        $plan = (new TopPlanner(TopConstruction::of($face)))->best(new PressQuestion(PressStyle::Nest), static fn (): bool => false);
        $map = TopMapSketch::of($plan, $face->top, Palette::blank(), self::setter());
        $hanging = new Hanging($face->face);
        $piles = array_values(array_filter($map->shapes, static fn ($shape): bool => $shape instanceof Area && $shape->part === 'pile'));
        self::assertCount(count($plan->sewn->copies), $piles);
        $words = new TopWords($plan, $face->top);
        $turned = 0;
        foreach ($plan->sewn->copies as $number => $copy) {
            $corners = $hanging->points($copy->place->units[0]->outline->points);
            $middle = [array_sum(array_column($corners, 0)) / 4, array_sum(array_column($corners, 1)) / 4];
            $size = 0.17 * hypot($corners[1][0] - $corners[0][0], $corners[1][1] - $corners[0][1]);
            foreach ([0, 1] as $axis) {
                self::assertEqualsWithDelta($middle[$axis], array_sum(array_column($piles[$number]->corners(), $axis)) / 4, 0.11 * $size);
            }
            self::assertEqualsWithDelta(1.5 * $size, $piles[$number]->corners()[2][1] - $piles[$number]->corners()[0][1], 1e-9);
            self::assertSame((string) ($plan->piles[$number] + 1), TopMapSketch::name($plan, $copy, $number));
            $turned += $words->turned($number)->value === 0 ? 0 : 1;
        }
        $discs = array_filter($map->shapes, static fn ($shape): bool => $shape instanceof Area && $shape->part === 'turned');
        self::assertCount($turned, $discs);
    }

    public function test_marks_of_how_ridges_meet_differ_and_keep_their_size(): void
    {
        $drawn = [];
        foreach (Nesting::cases() as $nesting) {
            $marks = StateMark::of($nesting, [5.0, 7.0], 4.0);
            foreach ($marks as $mark) {
                foreach (self::places($mark) as [$x, $y]) {
                    self::assertLessThanOrEqual(2.0 + 1e-9, hypot($x - 5, $y - 7));
                }
            }
            $drawn[] = Svg::of(new Sketch(0, 0, 10, 10, array_slice($marks, 1)), 10);
        }
        self::assertCount(4, array_unique($drawn));
    }

    /** @return list<Lettering> */
    private static function lettering(Fitted $set): array
    {
        return array_values(array_filter($set->shapes, static fn ($shape): bool => $shape instanceof Lettering));
    }

    private static function shown(Stage $stage): int
    {
        return array_sum(array_map(count(...), array_slice($stage->cloth, 0, 4)));
    }

    /** @return list<Sketch> */
    private static function paged(): array
    {
        $pages = new Pages(Paper::Letter, self::setter(), 'Ebb', 'Ebb, 12 in');
        $pages->add(new Fitted(200, [Area::rectangle(0, 0, 9, 9, null)]));
        $pages->add(new Fitted(200, [Area::rectangle(0, 0, 9, 9, null)]));

        return $pages->done();
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return array<string, list<Sketch>> pages by sheet
     */
    private static function sheets(array $file): array
    {
        static $known = [];
        $key = md5(serialize($file));
        if (! isset($known[$key])) {
            $plan = self::plan($file);
            $cutting = self::cutting($file);
            $setter = new Typesetter(self::type(), $plan->construction->face->block->unit);
            $greys = Palette::greys($plan->construction->face->block->fabrics);
            $drift = new Drift($plan, TakeUp::ideal($plan->construction->face->block), SquareUp::Units);
            $of = static function (\Closure $set) use ($setter): array {
                $pages = new Pages(Paper::Letter, $setter, 'Ebb · 12 in', 'Ebb, 12 in finished, 1 May 2026');
                $set($pages);

                return $pages->done();
            };
            $known[$key] = [
                'cut' => $of((new CutSheet($cutting, $setter, $greys))->onto(...)),
                'templates' => $of((new TemplateSheet($cutting, $setter))->onto(...)),
                'order' => $of(static fn (Pages $pages) => (new OrderSheet($plan->construction, $setter, $greys))->onto($pages)),
                'press' => $of(static fn (Pages $pages) => (new PressSheet($setter, $greys))->onto($pages, $plan, 'How it is pressed')),
                'joins' => $of(static fn (Pages $pages) => (new JoinsSheet($plan, $drift, Tolerance::usual($plan->construction->face->block->unit), $setter, $greys))->onto($pages)),
                'steps' => $of((new StepSheet(PlanSteps::of($plan), $setter))->onto(...)),
            ];
        }

        return $known[$key];
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file): PressingPlan
    {
        return (new PressingPlanner(Blocks::construction($file)))->best(new PressQuestion(PressStyle::Nest), static fn (): bool => false);
    }

    /** @param array<string, mixed> $file */
    private static function cutting(array $file): CuttingPlan
    {
        return CuttingPlan::of(Blocks::construction($file), new CutQuestion(1));
    }

    private static function setter(): Typesetter
    {
        return new Typesetter(self::type(), LengthUnit::Inch);
    }

    /** Every letter half as wide as it is high. */
    private static function type(): TypeWidths
    {
        return new class () implements TypeWidths
        {
            public function width(string $text, float $size, bool $isBold): float
            {
                return mb_strlen($text) * $size / 2;
            }
        };
    }

    private static function left(Lettering $words): float
    {
        return $words->x;
    }

    /** @return list<array{float, float}> */
    private static function places(object $shape): array
    {
        return match (true) {
            $shape instanceof Area => $shape->corners(),
            $shape instanceof Stroke => $shape->points(),
            $shape instanceof Lettering => [[$shape->x, $shape->y], [$shape->x + self::type()->width(rtrim($shape->text), $shape->size, $shape->isBold), $shape->y]],
            default => [],
        };
    }

    /** @param list<Sketch> $pages words as they stand, fractions as they are typed */
    private static function text(array $pages): string
    {
        $words = array_map(static fn (Sketch $page): string => implode('', array_map(static fn ($shape): string => $shape instanceof Lettering ? $shape->text : '', $page->shapes)), $pages);

        return str_replace("\u{a0}", ' ', implode('', $words));
    }

    /** @param list<array{float, float}> $corners */
    private static function round(array $corners): float
    {
        return array_sum(array_map(static fn (array $one, int $i): float => hypot($corners[($i + 1) % count($corners)][0] - $one[0], $corners[($i + 1) % count($corners)][1] - $one[1]), $corners, array_keys($corners)));
    }

    /** @param list<array{float, float}> $corners */
    private static function area(array $corners): float
    {
        $sum = 0;
        foreach ($corners as $i => [$x, $y]) {
            [$nextX, $nextY] = $corners[($i + 1) % count($corners)];
            $sum += $x * $nextY - $nextX * $y;
        }

        return abs($sum) / 2;
    }
}
