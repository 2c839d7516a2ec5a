<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\HabitWarning;
use KeenSeam\Core\Pressing\OpenedSeams;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** What a plan costs, counted again along every seam of blocks that are pressed anyhow. */
final class CountedByHandTest extends TestCase
{
    /** @return iterable<string, array{Construction, int}> */
    public static function blocks(): iterable
    {
        for ($seed = 1; $seed <= 10; ++$seed) {
            foreach (['grid' => Blocks::generated($seed, 2 + $seed % 2, 2), 'drawn' => Blocks::slantedPatches($seed, 5 + $seed % 4)] as $kind => $file) {
                try {
                    yield "$kind $seed" => [Blocks::construction($file), $seed];
                } catch (SetInSeamNeeded) {
                    // Not to be sewn straight.
                }
            }
        }
    }

    #[DataProvider('blocks')]
    public function test_crossings_folded_ends_shadow_and_furls_are_counted_along_the_seams(Construction $construction, int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        for ($try = 0; $try < 6; ++$try) {
            $pressing = new Pressing(array_map(static fn (Join $join): array => array_map(
                static fn (): PressDirection => PressDirection::cases()[$random->getInt(0, $try < 3 ? 1 : 2)],
                range(0, count($join->matchPoints())),
            ), $construction->joins));
            $cost = (new PressingPlanner($construction))->price($pressing, new PressQuestion(PressStyle::NestFurl))->cost;
            [$mismatch, $unlocked, $folded, $shadow, $furls] = [0, 0, 0, 0.0, 0];
            foreach ($construction->joins as $join) {
                foreach ($join->matchPoints() as $match) {
                    [$one, $other] = [self::ridge($join, $join->left, $match->at, $pressing), self::ridge($join, $join->right, $match->at, $pressing)];
                    $open = count(array_filter([$one, $other], static fn (int $way): bool => $way === 0));
                    $mismatch += $open === 1 ? 1 : ($open === 0 && $one === $other ? 2 : 0);
                    $unlocked += $open === 1 ? 2 : ($open === 2 ? 1 : ($one === $other ? 3 : 0));
                }
                $folded += self::folded($join, $pressing);
                $shadow += self::shadow($construction, $join, $pressing);
                $ways = $pressing->of($join);
                $furls += count(array_filter(array_keys($ways), static fn (int $i): bool => $i > 0 && $ways[$i] !== $ways[$i - 1]));
            }
            self::assertSame([$mismatch, $unlocked, $folded, $furls], [$cost->mismatch, $cost->unlocked, $cost->folded, $cost->furls]);
            self::assertEqualsWithDelta($shadow, $cost->shadowSteps / Cost::SHADOW_STEPS, 1e-6);
        }
    }

    #[DataProvider('blocks')]
    public function test_opened_allowances_cover_as_much_of_the_back_as_places_thrown_on_it_say(Construction $construction, int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $steps = $construction->face->lattice->steps;
        [$width, $height] = $construction->face->outline()->size();
        $covered = 0;
        for ($i = 0; $i < 2000; ++$i) {
            [$x, $y] = [$random->getInt(0, 1_000_000) / 1e6 * $width, $random->getInt(0, 1_000_000) / 1e6 * $height];
            foreach ($construction->joins as $join) {
                [$from, $to] = [$join->seam->from, $join->seam->to];
                [$dx, $dy, $length] = [$to->x - $from->x, $to->y - $from->y, $join->seam->length()];
                $along = (($x - $from->x) * $dx + ($y - $from->y) * $dy) / $length;
                if ($along >= 0 && $along <= $length && abs(($x - $from->x) * $dy - ($y - $from->y) * $dx) / $length <= $steps / 4) {
                    ++$covered;
                    break;
                }
            }
        }
        self::assertEqualsWithDelta($covered / 2000, OpenedSeams::of($construction)->covered, 0.04);
    }

    #[DataProvider('blocks')]
    public function test_where_pressing_to_the_dark_would_stack_is_warned_of(Construction $construction, int $seed): void
    {
        $expected = [];
        foreach ($construction->joins as $join) {
            foreach ($join->matchPoints() as $match) {
                $seams = array_map(static fn (Assembly $side): Join => self::lastAt($side, $match->at), [$join->left, $join->right]);
                $ways = array_map(static fn (Join $seam): ?PressDirection => self::toTheDark($construction, $seam), $seams);
                if ($ways[0] !== null && $ways[1] !== null && self::lies($join, $seams[0], $ways[0]) === self::lies($join, $seams[1], $ways[1])) {
                    $expected[] = $join->id.' '.$match->at->key();
                }
            }
        }
        self::assertSame($expected, array_map(static fn (HabitWarning $one): string => $one->join.' '.$one->at->key(), HabitWarning::allIn($construction)), "seed $seed");
    }

    private static function lastAt(Assembly $side, Point $at): Join
    {
        $last = null;
        foreach (self::seamsIn($side) as $seam) {
            if (($seam->seam->from->equals($at) || $seam->seam->to->equals($at)) && ($last === null || $seam->id > $last->id)) {
                $last = $seam;
            }
        }

        return $last ?? self::fail('Seams of both sides end at a match point.');
    }

    /** Which side has the darker cloth along the seam, by length; null where they are equal. */
    private static function toTheDark(Construction $construction, Join $seam): ?PressDirection
    {
        $dark = array_map(static function (Assembly $side) use ($construction, $seam): float {
            $sum = 0.0;
            foreach ($side->patchIds() as $id) {
                foreach ($construction->face->patches[$id]->outline->edges() as [$a, $b]) {
                    if ($seam->seam->contains($a) && $seam->seam->contains($b)) {
                        $sum += hypot($b->x - $a->x, $b->y - $a->y) * $construction->face->patches[$id]->fabric->value->rank();
                    }
                }
            }

            return round($sum, 6);
        }, [$seam->left, $seam->right]);

        return $dark[0] === $dark[1] ? null : ($dark[0] > $dark[1] ? PressDirection::Left : PressDirection::Right);
    }

    private static function lies(Join $join, Join $seam, PressDirection $way): int
    {
        $isStartOnLeft = $seam->seam->sideOf($join->seam->from) === $seam->leftSide;

        return match ($way) {
            PressDirection::Open => 0,
            PressDirection::Left => $isStartOnLeft ? -1 : 1,
            PressDirection::Right => $isStartOnLeft ? 1 : -1,
        };
    }

    /** Where the allowances of the seam sewn last lie at a place on a join: -1 toward the join's start, 1 toward its end, 0 open. */
    private static function ridge(Join $join, Assembly $side, Point $at, Pressing $pressing): int
    {
        $last = self::lastAt($side, $at);
        $ways = $pressing->of($last);

        return self::lies($join, $last, $last->seam->from->equals($at) ? $ways[0] : $ways[count($ways) - 1]);
    }

    private static function folded(Join $join, Pressing $pressing): int
    {
        $matches = array_map(static fn ($match): int => $join->seam->along($match->at), $join->matchPoints());
        $ways = $pressing->of($join);
        $count = 0;
        foreach ([[$join->left, PressDirection::Left], [$join->right, PressDirection::Right]] as [$side, $toward]) {
            foreach (self::seamsIn($side) as $seam) {
                foreach ([$seam->seam->from, $seam->seam->to] as $end) {
                    if ($join->seam->containsInside($end)) {
                        $along = $join->seam->along($end);
                        $beside = array_unique([count(array_filter($matches, static fn (int $match): bool => $match < $along)), count(array_filter($matches, static fn (int $match): bool => $match <= $along))]);
                        $count += array_filter($beside, static fn (int $stretch): bool => $ways[$stretch] === $toward || $ways[$stretch] === PressDirection::Open) === [] ? 0 : 1;
                    }
                }
            }
        }

        return $count;
    }

    private static function shadow(Construction $construction, Join $join, Pressing $pressing): float
    {
        $places = [0 => true, $join->seam->along($join->seam->to) => true];
        $beside = [];
        foreach ([$join->left, $join->right] as $number => $side) {
            foreach ($side->patchIds() as $id) {
                $patch = $construction->face->patches[$id];
                foreach ($patch->outline->edges() as [$a, $b]) {
                    if ($join->seam->contains($a) && $join->seam->contains($b)) {
                        [$from, $to] = [min($join->seam->along($a), $join->seam->along($b)), max($join->seam->along($a), $join->seam->along($b))];
                        $beside[$number][] = [$from, $to, $patch->fabric->value->rank()];
                        $places += [$from => true, $to => true];
                    }
                }
            }
        }
        foreach ($join->matchPoints() as $match) {
            $places[$join->seam->along($match->at)] = true;
        }
        ksort($places);
        $places = array_keys($places);
        $matches = array_map(static fn ($match): int => $join->seam->along($match->at), $join->matchPoints());
        $length = 0.0;
        for ($i = 1; $i < count($places); ++$i) {
            $middle = ($places[$i - 1] + $places[$i]) / 2;
            $rank = static fn (int $number): int => array_values(array_filter($beside[$number], static fn (array $one): bool => $one[0] < $middle && $middle < $one[1]))[0][2];
            $way = $pressing->of($join)[count(array_filter($matches, static fn (int $match): bool => $match < $middle))];
            $isShadow = ($way === PressDirection::Left && $rank(0) < $rank(1)) || ($way === PressDirection::Right && $rank(1) < $rank(0));
            $length += $isShadow ? ($places[$i] - $places[$i - 1]) / $places[count($places) - 1] * $join->seam->length() : 0.0;
        }

        return $length / $construction->face->lattice->steps;
    }

    /** @return list<Join> */
    private static function seamsIn(Assembly $part): array
    {
        return $part instanceof Join ? [...self::seamsIn($part->left), ...self::seamsIn($part->right), $part] : [];
    }
}
