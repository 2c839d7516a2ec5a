<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Shelf\Everything;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeenSeam\Core\KeenSeamProblem;

/** All that is kept as one file, and that file brought back. */
final readonly class EverythingController
{
    public function __construct(private Everything $everything) {}

    public function show(): Response
    {
        return new Response(Everything::toText(), Response::HTTP_OK, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => sprintf('attachment; filename="keen-seam-everything-%s.json"', date('Y-m-d')),
        ]);
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request): JsonResponse
    {
        return new JsonResponse($this->everything->bringBack($request->getContent()));
    }
}
