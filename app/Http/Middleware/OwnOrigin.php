<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\ProblemResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets only the application's own pages change anything. Browsers tell where a request comes from and no page can make
 * them lie; programs that are no browsers send neither header.
 */
final readonly class OwnOrigin
{
    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if ($request->getRealMethod() !== $request->getMethod() || $request->headers->has('X-HTTP-Method-Override') || $request->query->has('_method')) {
            return ProblemResponse::refused('method-disguised', 'A request must be sent as what it is. Send it with its own method.', Response::HTTP_METHOD_NOT_ALLOWED);
        }
        if ($request->isMethodSafe()) {
            return $next($request);
        }
        $site = $request->headers->get('Sec-Fetch-Site');
        $origin = $request->headers->get('Origin');
        $isOwn = ($site === null || $site === 'same-origin') && ($origin === null || $origin === $request->getSchemeAndHttpHost());

        return $isOwn ? $next($request) : ProblemResponse::refused('other-origin', 'Another site asked for a change here. Nothing was changed; use the pages of Keen Seam itself.', Response::HTTP_FORBIDDEN);
    }
}
