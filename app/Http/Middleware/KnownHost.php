<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\ProblemResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpFoundation\Response;

/** Answers only under the names it is served under: a name that another site points at this machine gets nothing. */
final readonly class KnownHost
{
    private const OWN = ['127.0.0.1', 'localhost', '[::1]'];

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        try {
            $host = $request->getHost();
        } catch (SuspiciousOperationException) {
            $host = '';
        }
        $known = [...self::OWN, ...array_map(mb_strtolower(...), (array) config('keen-seam.hosts'))];

        return in_array($host, $known, true)
            ? $next($request)
            : ProblemResponse::refused('host-not-known', 'Keen Seam is not served under this name. Open it under the address that bin/start prints, or add the name to KEEN_SEAM_HOSTS.', Response::HTTP_MISDIRECTED_REQUEST);
    }
}
