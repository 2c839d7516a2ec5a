<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Layout\HandCount;
use KeenSeam\Core\Layout\Impostors;
use KeenSeam\Core\Layout\OddCell;
use KeenSeam\Core\Layout\OddOnesOut;
use KeenSeam\Core\Layout\Signature;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\TopFace;
use KeenSeam\Core\Top\TopPlace;

/** How the blocks of a top lie, in the form of LookDocument: places in place of cells. */
final class TopLookDocument
{
    /** @return array<string, mixed> */
    public static function of(TopConstruction $placed): array
    {
        $top = $placed->top->top;
        // Sashes and sides lie the same way round whatever the blocks do; without them the places are what repeats.
        $bare = $top->sashes === null ? $placed->top : TopFace::of($top->withoutSashes());
        $found = OddOnesOut::of($bare->placesOnly(), $top->setting === Setting::OnPoint);
        $signatures = [];
        foreach ($placed->top->parts as $part) {
            if ($part->place !== null && $part->origins === null) {
                $signatures[] = [...self::where($placed->top, $part->units[0]->cell), 'text' => Signature::of($part->units[0])];
            }
        }

        return [
            'format' => LookDocument::FORMAT,
            'version' => LookDocument::VERSION,
            'symmetry' => $found->symmetry->value,
            'odd' => array_map(static fn (OddCell $odd): array => [...self::where($bare, $odd->cell), 'mend' => LookDocument::placement($odd->mend)], $found->odd),
            'hands' => array_map(static fn (HandCount $hands): array => [
                'class' => $hands->label,
                'unit' => $hands->kind,
                'left' => count($hands->left),
                'right' => count($hands->right),
            ], HandCount::allOn($placed->construction->face)),
            'impostors' => array_map(static fn (Impostors $impostors): array => [
                ...self::where($placed->top, $impostors->cell),
                'placements' => array_map(LookDocument::placement(...), $impostors->placements),
            ], Impostors::allIn($placed->construction)),
            'signatures' => $signatures,
        ];
    }

    /** @return array{row: int|string, column: int|string} of the setting, for a cell of the frame */
    private static function where(TopFace $face, Cell $cell): array
    {
        $place = $face->placeAt($cell);
        $setting = $face->top->setting;

        return ['row' => TopPlace::number($place->rowDoubled, $setting), 'column' => TopPlace::number($place->columnDoubled, $setting)];
    }
}
