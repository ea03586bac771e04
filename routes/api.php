<?php

declare(strict_types=1);

use App\Http\Controllers\BookletController;
use App\Http\Controllers\BuildController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\ChangeController;
use App\Http\Controllers\EventController;
use App\Http\Controllers\FrameController;
use App\Http\Controllers\HouseController;
use App\Http\Controllers\KitController;
use App\Http\Controllers\MixController;
use App\Http\Controllers\PaletteController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\ProductController;
use App\Http\Controllers\RoomController;
use App\Http\Controllers\SurfaceController;
use App\Http\Controllers\TableController;
use App\Http\Controllers\TestingController;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Route;

Route::get('health', static fn (): JsonResponse => new JsonResponse(['name' => 'amber-step']));
Route::get('frame', [FrameController::class, 'show']);
Route::post('builds', [BuildController::class, 'import']);
Route::get('builds/{build}/bench', [BuildController::class, 'bench']);
Route::get('builds/{build}/sheet', [BuildController::class, 'sheet']);
Route::get('builds/{build}/plan', [BuildController::class, 'plan']);
Route::get('builds/{build}/log', [BuildController::class, 'log']);
Route::get('builds/{build}/finish', [BuildController::class, 'finish']);
Route::get('builds/{build}/kit', [KitController::class, 'show']);
Route::post('builds/blank', [KitController::class, 'blank']);
Route::post('builds/{build}/copy', [KitController::class, 'copy']);
Route::post('builds/{build}/lines/read', [KitController::class, 'read']);
Route::post('builds/{build}/lines', [KitController::class, 'take']);
Route::post('builds/{build}/cell', [KitController::class, 'cell']);
Route::post('builds/{build}/remove', [KitController::class, 'remove']);
Route::get('builds/{build}/booklet', [BookletController::class, 'show']);
Route::post('builds/{build}/booklet/read', [BookletController::class, 'read']);
Route::post('builds/{build}/booklet', [BookletController::class, 'take']);
Route::post('builds/{build}/booklet/bring-in', [BookletController::class, 'bringIn']);
Route::get('builds/{build}/lists', [BookletController::class, 'lists']);
Route::get('builds/{build}/breakdown', [BookletController::class, 'breakdown']);
Route::get('builds/{build}/surface', [SurfaceController::class, 'show']);
Route::post('photos', [PhotoController::class, 'store']);
Route::get('photos/{hash}.jpg', [PhotoController::class, 'show']);
Route::put('grits', [SurfaceController::class, 'grits']);
Route::get('builds/{build}/mix', [MixController::class, 'show']);
Route::post('builds/{build}/mix', [MixController::class, 'compute']);
Route::get('builds/{build}/palette.gpl', [PaletteController::class, 'palette']);
Route::get('builds/{build}/swatches.csv', [PaletteController::class, 'table']);
Route::get('tones/{product}', [MixController::class, 'tones']);
Route::post('palette', [PaletteController::class, 'read']);
Route::post('match', [MixController::class, 'match']);
Route::get('builds/{build}/areas.csv', [TableController::class, 'areas']);
Route::post('builds/{build}/areas.csv', [TableController::class, 'takeAreas']);
Route::get('products', [ProductController::class, 'index']);
Route::post('products', [ProductController::class, 'store']);
Route::get('products.csv', [TableController::class, 'products']);
Route::post('products.csv', [TableController::class, 'takeProducts']);
Route::get('builds/{build}/house', [HouseController::class, 'show']);
Route::put('house', [HouseController::class, 'store']);
Route::get('builds/{build}/holds.ics', [CalendarController::class, 'one']);
Route::get('holds.ics', [CalendarController::class, 'all']);
Route::get('builds/{build}/export', [BuildController::class, 'export']);
Route::get('builds/{build}/export.zip', [BuildController::class, 'parcel']);
Route::post('builds/{build}/events', [EventController::class, 'store']);
Route::post('builds/{build}/preview', [ChangeController::class, 'preview']);
Route::post('builds/{build}/changes', [ChangeController::class, 'store']);
Route::post('builds/{build}/changes/{change}/undo', [ChangeController::class, 'undo']);
Route::post('readings', [RoomController::class, 'reading']);
Route::put('room/source', [RoomController::class, 'source']);

if (app()->environment('testing') === true) {
    Route::post('testing/clock', [TestingController::class, 'clock']);
}
