<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\ProblemResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A body is of the type that its address declares, JSON unless said otherwise; never one that a form can send. */
final readonly class BodyType
{
    /**
     * @param \Closure(Request): Response $next
     * @param string                      $types that the address takes
     */
    public function handle(Request $request, \Closure $next, string ...$types): Response
    {
        $given = mb_strtolower(trim(explode(';', (string) $request->headers->get('Content-Type'))[0]));
        $types = $types === [] ? ['application/json'] : $types;
        $hasBody = ! $request->isMethodSafe() && $request->getContent() !== '';

        return ! $hasBody || in_array($given, $types, true)
            ? $next($request)
            : ProblemResponse::refused('body-type', sprintf('This address takes %s, not "%s". Nothing was changed.', implode(' or ', $types), mb_substr($given, 0, 60)), Response::HTTP_UNSUPPORTED_MEDIA_TYPE);
    }
}
