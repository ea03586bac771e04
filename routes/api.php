<?php

declare(strict_types=1);

use App\Http\Controllers\BuildController;
use App\Http\Controllers\ChangeController;
use App\Http\Controllers\EventController;
use App\Http\Controllers\FrameController;
use App\Http\Controllers\RoomController;
use App\Http\Controllers\TestingController;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Route;

Route::get('health', static fn (): JsonResponse => new JsonResponse(['name' => 'amber-step']));
Route::get('frame', [FrameController::class, 'show']);
Route::post('builds', [BuildController::class, 'import']);
Route::get('builds/{build}/bench', [BuildController::class, 'bench']);
Route::get('builds/{build}/plan', [BuildController::class, 'plan']);
Route::get('builds/{build}/log', [BuildController::class, 'log']);
Route::get('builds/{build}/kit', [BuildController::class, 'kit']);
Route::get('builds/{build}/export', [BuildController::class, 'export']);
Route::post('builds/{build}/events', [EventController::class, 'store']);
Route::post('builds/{build}/preview', [ChangeController::class, 'preview']);
Route::post('builds/{build}/changes', [ChangeController::class, 'store']);
Route::post('builds/{build}/changes/{change}/undo', [ChangeController::class, 'undo']);
Route::post('readings', [RoomController::class, 'reading']);
Route::put('room/source', [RoomController::class, 'source']);

if (app()->environment('testing') === true) {
    Route::post('testing/clock', [TestingController::class, 'clock']);
}
