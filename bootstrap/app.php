<?php

declare(strict_types=1);

use App\Http\Controllers\ScreenController;
use App\Http\Middleware\BodyType;
use App\Http\Middleware\DailyCopy;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\OwnOrigin;
use App\Http\Middleware\SafeHeaders;
use App\Http\ProblemResponse;
use App\Shelf\Mishap;
use App\Workings\StillPlanning;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;
use KeenSeam\Core\KeenSeamProblem;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        api: __DIR__.'/../routes/api.php',
        health: '/up',
        then: static function (): void {
            // The screens are one page that finds its own way; it needs neither session nor cookie.
            Route::get('/{path?}', ScreenController::class)->where('path', '^(?!api/|build/).*$');
        },
    )
    ->withMiddleware(static function (Middleware $middleware): void {
        $middleware->remove([
            Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull::class,
            Illuminate\Foundation\Http\Middleware\TrimStrings::class,
            // No other origin has any business here.
            Illuminate\Http\Middleware\HandleCors::class,
        ]);
        $middleware->prepend([SafeHeaders::class, KnownHost::class]);
        $middleware->api(prepend: [OwnOrigin::class, BodyType::class, DailyCopy::class]);
    })
    ->withExceptions(static function (Exceptions $exceptions): void {
        $exceptions->dontReport([KeenSeamProblem::class, StillPlanning::class]);
        // The log may be on the same disk.
        $exceptions->dontReportWhen(static fn (Throwable $thrown): bool => Mishap::of($thrown) !== null && error_log(($thrown->getPrevious() ?? $thrown)->getMessage()));
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));
        $exceptions->render(static fn (NotFoundHttpException $missing, Request $request) => ProblemResponse::notFound($missing, $request));
        $exceptions->render(static fn (StillPlanning $planning) => ProblemResponse::waiting($planning));
        $exceptions->render(static fn (KeenSeamProblem $problem) => ProblemResponse::of($problem));
        $exceptions->render(static fn (Throwable $thrown) => ProblemResponse::ofMishap($thrown));
    })
    ->create();
