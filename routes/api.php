<?php

declare(strict_types=1);

use App\Http\Controllers\BlockController;
use App\Http\Controllers\BlockFileController;
use App\Http\Controllers\ImpostorController;
use App\Http\Controllers\LockController;
use App\Http\Controllers\MeantController;
use App\Http\Controllers\OrderController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\PilesController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\ProgressController;
use App\Http\Controllers\RestController;
use App\Http\Controllers\RestoreController;
use App\Http\Controllers\SeamChoicesController;
use App\Http\Controllers\StartController;
use App\Http\Controllers\StepController;
use App\Http\Controllers\StyleController;
use App\Http\Controllers\SwatchController;
use App\Http\Controllers\WallController;
use App\Http\Controllers\WallFiguresController;
use Illuminate\Support\Facades\Route;

Route::get('swatches/{hash}', [SwatchController::class, 'show'])->where('hash', '[0-9a-f]{32}');
Route::get('starts', [StartController::class, 'index']);
Route::post('starts', [StartController::class, 'store']);
Route::apiResource('blocks', BlockController::class)->whereNumber('block');
Route::prefix('blocks/{block}')->whereNumber('block')->group(static function (): void {
    Route::post('restore', RestoreController::class)->withTrashed();
    Route::get('file', BlockFileController::class);
    Route::get('orders', [OrderController::class, 'index']);
    Route::put('order', [OrderController::class, 'store']);
    Route::get('plan', PlanController::class);
    Route::get('styles', [StyleController::class, 'index']);
    Route::put('style', [StyleController::class, 'store']);
    Route::get('piles', [PilesController::class, 'index']);
    Route::put('piles', [PilesController::class, 'store']);
    Route::get('steps/{step}', StepController::class)->whereNumber('step');
    Route::get('seams/{join}/choices', SeamChoicesController::class)->whereNumber('join');
    Route::put('locks/{join}', [LockController::class, 'store'])->whereNumber('join');
    Route::delete('locks/{join}', [LockController::class, 'destroy'])->whereNumber('join');
    Route::delete('locks', [LockController::class, 'destroyAll']);
    Route::put('rest', RestController::class);
    Route::get('wall', [WallController::class, 'show']);
    Route::post('edits', [WallController::class, 'edit']);
    Route::post('undo', [WallController::class, 'undo']);
    Route::post('redo', [WallController::class, 'redo']);
    Route::get('wall/figures', WallFiguresController::class);
    Route::get('wall/impostors', ImpostorController::class);
    Route::put('picture', [PictureController::class, 'store']);
    Route::delete('picture', [PictureController::class, 'destroy']);
    Route::put('meant', MeantController::class);
    Route::put('fabrics/{fabric}/swatch', [SwatchController::class, 'store']);
    Route::delete('fabrics/{fabric}/swatch', [SwatchController::class, 'destroy']);
    Route::put('progress', ProgressController::class);
});
