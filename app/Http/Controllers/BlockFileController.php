<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ShelfBlock;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** The block as a file to keep or to pass on. */
final class BlockFileController
{
    public function __invoke(ShelfBlock $block): Response
    {
        $name = Str::slug($block->name) ?: 'block';

        return new Response($block->document, Response::HTTP_OK, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => sprintf('attachment; filename="%s.keenseam.json"', $name),
        ]);
    }
}
