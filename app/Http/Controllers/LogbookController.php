<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\LogbookDocument;
use App\Documents\LogDocument;
use App\Models\SeamTestRecord;
use App\Models\ShelfBlock;
use App\Work\KeptLog;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use KeenSeam\Core\Guide\Logbook;

/** What was done at the machine: to look at, and as a file. */
final class LogbookController
{
    /** More seam tests than a chart has room for. */
    private const MOST_TESTS = 60;

    public function all(): JsonResponse
    {
        $tests = SeamTestRecord::query()->orderByDesc('id')->limit(self::MOST_TESTS)->get()->reverse()->values()->all();

        return new JsonResponse(LogbookDocument::of(new Logbook(KeptLog::all()), self::names(), array_values($tests), null));
    }

    public function ofBlock(ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(LogbookDocument::of(new Logbook(KeptLog::all(), $block->id), self::names(), [], $block->id));
    }

    public function file(string $kind): Response
    {
        return self::kept($kind, null, 'keen-seam');
    }

    public function fileOfBlock(ShelfBlock $block, string $kind): Response
    {
        return self::kept($kind, $block->id, Str::slug($block->name) ?: 'block');
    }

    private static function kept(string $kind, ?int $block, string $name): Response
    {
        $log = LogDocument::of(KeptLog::all(), self::names(), $block);
        [$text, $type] = $kind === 'csv'
            ? [LogDocument::toCsv($log), 'text/csv; charset=utf-8']
            : [json_encode($log, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n", 'application/json'];

        return new Response($text, Response::HTTP_OK, [
            'Content-Type' => $type,
            'Content-Disposition' => sprintf('attachment; filename="%s-logbook.%s"', $name, $kind),
        ]);
    }

    /** @return array<int, string> blocks that are off the shelf too: what was done to them stays in the book */
    private static function names(): array
    {
        $names = [];
        foreach (ShelfBlock::withTrashed()->get(['id', 'name']) as $block) {
            $names[$block->id] = $block->name;
        }

        return $names;
    }
}
