<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\CutDocument;
use App\Documents\JoinsDocument;
use App\Documents\ListDocument;
use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Paper\ShelfToPrint;
use App\Paper\ToPrint;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Matching\TakeUp;

/** Lists to take along: as a table, or in the open formats. */
final readonly class ListController
{
    public function __construct(private ShelfToPrint $shelf) {}

    /** @throws KeenSeamProblem */
    public function ofBlock(ShelfBlock $block, string $list, string $kind): Response
    {
        return self::list($this->shelf->block($block), $block->take_up, $list, $kind);
    }

    /** @throws KeenSeamProblem */
    public function ofTop(ShelfTop $top, string $list, string $kind): Response
    {
        return self::list($this->shelf->top($top), null, $list, $kind);
    }

    private static function list(ToPrint $thing, ?string $takeUp, string $list, string $kind): Response
    {
        $json = static fn (array $document): string => json_encode($document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT);
        $text = match ($kind.' '.$list) {
            'csv cut' => ListDocument::cuts($thing->cutting()),
            'csv fabric' => ListDocument::fabric($thing->cutting()),
            'csv joins' => ListDocument::joins($thing->plan(), $thing->drift()),
            'json joins' => $json(JoinsDocument::of($thing->plan(), $thing->drift(), TakeUp::readOrIdeal($takeUp, $thing->plan()->construction->face->block))),
            default => $json(CutDocument::of($thing->cutting())),
        };

        return new Response($text, Response::HTTP_OK, [
            'Content-Type' => $kind === 'csv' ? 'text/csv; charset=utf-8' : 'application/json',
            'Content-Disposition' => sprintf('attachment; filename="%s-%s.%s"', Str::slug($thing->name) ?: 'list', $list, $kind),
        ]);
    }
}
