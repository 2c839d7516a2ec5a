<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Workings\Planning;
use Illuminate\Http\JsonResponse;

/** How far a long search is, and the button that stops it. */
final readonly class PlanningController
{
    public function __construct(private Planning $planning) {}

    public function show(string $key): JsonResponse
    {
        return new JsonResponse(['key' => $key, ...$this->planning->state($key)]);
    }

    public function stop(string $key): JsonResponse
    {
        $this->planning->stop($key);

        return $this->show($key);
    }

    /** The next time the plan is asked for it is searched on. */
    public function lookOn(string $key): JsonResponse
    {
        $this->planning->lookOn($key);

        return $this->show($key);
    }
}
