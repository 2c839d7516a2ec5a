<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Making\BuildChoice;
use KeenSeam\Core\Making\ChosenBuilds;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** The block as it is sewn once ways are chosen. */
final class ChosenBuildsTest extends TestCase
{
    public function test_geese_as_two_half_squares_have_a_seam_up_the_middle_and_the_same_face(): void
    {
        $drawn = Blocks::construction(['finished' => ['width' => '8', 'height' => '4']] + Blocks::file('gABC gABCm', 'gACB180 gABC180'));
        $question = new CutQuestion(ways: ['U1' => 'two-half-squares']);
        $sewn = self::sewn($drawn, $question);
        $geese = count($drawn->classes[0]->members) + count($drawn->classes[1]->members);

        self::assertCount(count($drawn->face->patches) + $geese, $sewn->face->patches, 'one patch more in every goose');
        self::assertSame(Picture::of($drawn->face->whole)->key, Picture::of($sewn->face->whole)->key);
        // A half square each side of the middle, two skies apart.
        self::assertSame(3 * $geese + 3, count($sewn->joins));
    }

    public function test_geese_in_a_small_grid_are_replaced_where_they_lie(): void
    {
        $file = ['finished' => ['width' => '8', 'height' => '4']] + Blocks::file('pA pA');
        $goose = static fn (int $row): array => ['row' => $row, 'column' => 1, 'unit' => 'flying-geese', 'turn' => 180 * ($row - 1), 'fabrics' => ['A', 'B', 'B']];
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'grid', 'turn' => 0, 'columns' => ['1'], 'rows' => ['1', '1'], 'cells' => [$goose(1), $goose(2)]], ['row' => 1, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['C']]];
        $drawn = Blocks::construction($file);
        $label = CuttingPlan::of($drawn, new CutQuestion())->units[0]->unit->unit->kind() === 'flying-geese' ? 'U1' : 'U2';
        $sewn = self::sewn($drawn, new CutQuestion(ways: [$label => 'two-half-squares']));

        self::assertSame([Picture::of($drawn->face->whole)->key, count($drawn->face->patches) + 2], [Picture::of($sewn->face->whole)->key, count($sewn->face->patches)]);
        $same = ChosenBuilds::samePatches($drawn, $sewn);
        self::assertNotEmpty($same);
        foreach ($same as $there => $here) {
            self::assertSame(self::told($drawn->face, $drawn->face->patches[$there]), self::told($sewn->face, $sewn->face->patches[$here]));
        }
        self::assertArrayNotHasKey(0, $same, 'the goose itself is two patches now');
    }

    public function test_units_used_as_they_come_keep_the_face_and_take_half_of_each_build(): void
    {
        $drawn = Blocks::construction(Blocks::file('sABA sABA90', 'sABA270 sABA180'));
        $question = new CutQuestion(ways: ['U1' => 'crossed'], builds: ['U1' => BuildChoice::AsTheyCome]);
        $sewn = self::sewn($drawn, $question);

        self::assertSame(Picture::of($drawn->face->whole)->key, Picture::of($sewn->face->whole)->key);
        self::assertSame([2, 2], array_map(static fn ($class): int => count($class->members), $sewn->classes), 'two of each build come from one batch');
    }

    public function test_places_take_the_builds_with_which_the_whole_is_pressed_best(): void
    {
        $drawn = Blocks::construction(Blocks::file('sABA sABA90', 'sABA270 sABA180'));
        $question = new CutQuestion(ways: ['U1' => 'crossed'], builds: ['U1' => BuildChoice::AsTheyCome]);
        $press = new PressQuestion(PressStyle::Nest);
        $cost = static fn (Construction $one) => (new PressingPlanner($one))->best($press)->cost;
        $found = $cost(self::sewn($drawn, $question));
        // Against every other way to hand two and two out, written as files.
        $words = [['sABA', 'sABA180m'], ['sABA90', 'sABA270m'], ['sABA270', 'sABA90m'], ['sABA180', 'sABAm']];
        $alike = [];
        foreach (range(0, 15) as $bits) {
            $chosen = array_map(static fn (array $pair, int $i): string => $pair[$bits >> $i & 1], $words, array_keys($words));
            $other = Blocks::construction(Blocks::file("$chosen[0] $chosen[1]", "$chosen[2] $chosen[3]"));
            if (Picture::of($other->face->whole)->key === Picture::of($drawn->face->whole)->key && count(array_filter([1, 2, 4, 8], static fn (int $bit): bool => ($bits & $bit) !== 0)) === 2) {
                $alike[] = $cost($other);
            }
        }
        self::assertCount(6, $alike, 'six ways to choose two of four');
        foreach ($alike as $one) {
            self::assertLessThanOrEqual(0, $found->compareTo($one, PressStyle::Nest));
        }
    }

    /** Nine places have 252 ways to take four or five: not all are tried, but no one place or two that change help any more. */
    public function test_of_many_ways_one_is_found_that_no_small_change_betters(): void
    {
        $words = [['sABA', 'sABA180m'], ['sABA90', 'sABA270m'], ['sABA180', 'sABAm'], ['sABA270', 'sABA90m']];
        $places = [0, 1, 2, 3, 0, 1, 2, 3, 0];
        $block = static fn (array $others): Construction => Blocks::construction(Blocks::file(...array_map(static fn (array $row): string => implode(' ', $row), array_chunk(array_map(static fn (int $place, bool $isOther): string => $words[$place][$isOther ? 1 : 0], $places, $others), 3))));
        $drawn = $block(array_fill(0, 9, false));
        $press = new PressQuestion(PressStyle::Nest);
        $cost = static fn (Construction $one) => (new PressingPlanner($one))->best($press)->cost;
        $sewn = self::sewn($drawn, new CutQuestion(ways: ['U1' => 'crossed'], builds: ['U1' => BuildChoice::AsTheyCome]));
        $others = array_map(static fn ($unit): bool => $unit instanceof PlacedUnit && $unit->cell->placement->mirrored, $sewn->face->whole->parts);
        $found = $cost($sewn);

        self::assertSame(Picture::of($drawn->face->whole)->key, Picture::of($sewn->face->whole)->key);
        self::assertEqualsWithDelta(4.5, count(array_filter($others)), 0.5);
        self::assertSame($found->figures(PressStyle::Nest), $cost($block($others))->figures(PressStyle::Nest));
        for ($i = 0; $i < 9; ++$i) {
            for ($j = $i; $j < 9; ++$j) {
                $tried = $others;
                $tried[$i] = ! $tried[$i];
                $tried[$j] = $i === $j ? $tried[$j] : ! $tried[$j];
                if (in_array(count(array_filter($tried)), [4, 5], true) && ($i === $j || $others[$i] !== $others[$j])) {
                    self::assertLessThanOrEqual(0, $found->compareTo($cost($block($tried)), PressStyle::Nest), "$i, $j");
                }
            }
        }
    }

    public function test_without_time_as_many_as_must_be_take_the_other_build(): void
    {
        $drawn = Blocks::construction(Blocks::file('sABA sABA90', 'sABA270 sABA180'));
        $question = new CutQuestion(ways: ['U1' => 'crossed'], builds: ['U1' => BuildChoice::AsTheyCome]);
        $sewn = ChosenBuilds::sewn($drawn, CuttingPlan::of($drawn, $question), new PressQuestion(PressStyle::Nest), static fn (): bool => true);

        self::assertSame([true, true, false, false], array_map(static fn ($unit): bool => $unit instanceof PlacedUnit && $unit->cell->placement->mirrored, $sewn->face->whole->parts));
        self::assertSame(Picture::of($drawn->face->whole)->key, Picture::of($sewn->face->whole)->key);
    }

    public function test_a_block_without_such_choices_is_sewn_as_drawn(): void
    {
        $drawn = Blocks::construction(Blocks::file('hAB gABB'));
        self::assertSame($drawn, self::sewn($drawn, new CutQuestion()));
    }

    private static function sewn(Construction $drawn, CutQuestion $question): Construction
    {
        self::assertSame(Order::Rows, $drawn->order);

        return ChosenBuilds::sewn($drawn, CuttingPlan::of($drawn, $question), new PressQuestion(PressStyle::Nest), static fn (): bool => false);
    }

    private static function told(Face $face, Patch $patch): string
    {
        $points = array_map(static fn ($point): string => implode(',', $face->lattice->toText($point)), $patch->outline->points);
        sort($points);

        return $patch->fabric->key.' '.implode(' ', $points);
    }
}
