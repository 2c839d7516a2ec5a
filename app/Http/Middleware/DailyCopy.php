<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Shelf\Copies;
use App\Workings\Sweeping;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** The day's copy is made with the first change of the day, after it was answered. */
final class DailyCopy
{
    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        return $next($request);
    }

    public function terminate(Request $request, Response $response): void
    {
        if (! $request->isMethodSafe() && $response->isSuccessful()) {
            try {
                if (Copies::ofTheShelf()?->daily() === true) {
                    Sweeping::folder((string) config('cache.stores.file.path'));
                }
            } catch (\Throwable $mishap) {
                error_log('No copy was made today: '.$mishap->getMessage());
            }
        }
    }
}
