<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Workings\Sheet;
use App\Workings\WorkingOut;
use KeenSeam\Core\Drawing\BackSketch;
use KeenSeam\Core\Drawing\DrawnSide;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Svg;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\TakeUp;

/** The sheets that take longest on a very large block. */
enum Sheets: string implements Sheet
{
    case Press = 'press';
    case Joins = 'joins';
    case Orders = 'orders';
    case Advice = 'advice';
    case Back = 'back';

    public function atOnce(): int
    {
        return match ($this) {
            self::Press, self::Joins, self::Back => 3000,
            // The block is sewn in every order there is, one after the other.
            self::Orders => 300,
            // Every cure is tried by a plan.
            self::Advice => 100,
        };
    }

    public function make(ShelfBlock $block, WorkingOut $working): void
    {
        match ($this) {
            self::Press => self::press($working),
            self::Joins => self::joins($block, $working),
            self::Orders => self::orders($working),
            self::Advice => self::advice($block, $working),
            self::Back => self::back($block, $working),
        };
    }

    /** JSON of PressDocument::ofPlan(). */
    public static function press(WorkingOut $working): string
    {
        return $working->sheet('press', [], static fn (): array => PressDocument::ofPlan($working->plan()), self::Press);
    }

    /** JSON of JoinsStationDocument::of(). */
    public static function joins(ShelfBlock $block, WorkingOut $working): string
    {
        $measured = $working->facts()->measured();

        return $working->sheet('joins', [$block->take_up, $block->square_up, $block->leave, $block->ease, $measured], static function () use ($block, $working, $measured): array {
            $plan = $working->plan();
            $kept = $plan->construction->face->block;
            $takeUp = TakeUp::readOrIdeal($block->take_up, $kept);

            return JoinsStationDocument::of($block, $measured, $plan, new Drift($plan, $takeUp, $block->square_up, [], $working->facts()->measuredIn($kept->unit)), $takeUp);
        }, self::Joins);
    }

    /** JSON of AdviceDocument::of(). */
    public static function advice(ShelfBlock $block, WorkingOut $working): string
    {
        return $working->sheet('advice', $working->plans()->sources(), static fn (): array => AdviceDocument::of($block, $working), self::Advice);
    }

    /** The back as an SVG picture. */
    public static function back(ShelfBlock $block, WorkingOut $working): string
    {
        return $working->ofPlan('back-picture', [$block->name], static function () use ($block, $working): string {
            $sketch = BackSketch::of($working->plan(), Palette::ofFabrics($working->construction()->face->block->fabrics));

            return Svg::picture($sketch, $block->name.', '.DrawnSide::Back->value);
        }, self::Back);
    }

    /** @return array<string, mixed> as OrdersDocument::orders() tells them */
    public static function orders(WorkingOut $working): array
    {
        return $working->ofFile('orders', static fn (): array => OrdersDocument::orders($working->face()), self::Orders);
    }
}
