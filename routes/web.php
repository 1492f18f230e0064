<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\BuildingController;
use App\Http\Controllers\BuildingFileController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\FitController;
use App\Http\Controllers\LengthController;
use App\Http\Controllers\MadeController;
use App\Http\Controllers\MockupController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\ProjectController;
use App\Http\Controllers\RevisionController;
use App\Http\Controllers\ScaleController;
use App\Http\Controllers\SectionController;
use App\Http\Controllers\StandController;
use App\Models\Project;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->group(function (): void {
    Route::get('me', [AccountController::class, 'me'])->name('me');
    Route::middleware('throttle:sign-in')->group(function (): void {
        Route::post('register', [AccountController::class, 'register'])->name('register');
        Route::post('sign-in', [AccountController::class, 'signIn'])->name('sign-in');
        Route::post('demo', [AccountController::class, 'demo'])->name('demo');
    });

    Route::middleware(['auth', 'same-person'])->group(function (): void {
        Route::post('sign-out', [AccountController::class, 'signOut'])->name('sign-out');
        Route::patch('me', [AccountController::class, 'update'])->name('me.update');
        Route::post('lengths', LengthController::class)->name('lengths');

        Route::get('find', [FindController::class, 'anywhere'])->name('find');

        Route::get('projects', [ProjectController::class, 'index'])->can('viewAny', Project::class)->name('projects.index');
        Route::post('projects', [ProjectController::class, 'store'])->can('create', Project::class)->name('projects.store');
        Route::post('projects/import', [ProjectController::class, 'import'])->can('create', Project::class)->name('projects.import');
        Route::get('projects/{project}/archive', [ProjectController::class, 'archive'])->can('update', 'project')->name('projects.archive');
        Route::patch('projects/{project}', [ProjectController::class, 'update'])->can('update', 'project')->name('projects.update');
        Route::delete('projects/{project}', [ProjectController::class, 'destroy'])->can('delete', 'project')->name('projects.destroy');
        Route::post('projects/{project}/buildings', [BuildingController::class, 'store'])->can('update', 'project')->name('buildings.store');

        Route::get('buildings/{building}', [BuildingController::class, 'show'])->can('view', 'building')->name('buildings.show');
        Route::delete('buildings/{building}', [BuildingController::class, 'destroy'])->can('delete', 'building')->name('buildings.destroy');
        Route::get('buildings/{building}/revisions', [RevisionController::class, 'index'])->can('view', 'building')->name('revisions.index');
        Route::post('buildings/{building}/revisions', [RevisionController::class, 'store'])->can('update', 'building')->name('revisions.store');
        Route::post('buildings/{building}/preview', [RevisionController::class, 'preview'])->can('view', 'building')->name('revisions.preview');
        Route::patch('buildings/{building}/revisions/{number}', [RevisionController::class, 'update'])->whereNumber('number')->can('update', 'building')->name('revisions.update');
        Route::get('buildings/{building}/revisions/{from}/compare/{to}', [RevisionController::class, 'compare'])->whereNumber(['from', 'to'])->can('view', 'building')->name('revisions.compare');
        Route::get('buildings/{building}/made', [MadeController::class, 'show'])->can('view', 'building')->name('made.show');
        Route::post('buildings/{building}/prints', [MadeController::class, 'print'])->can('update', 'building')->name('made.print');
        Route::patch('buildings/{building}/pieces', [MadeController::class, 'mark'])->can('update', 'building')->name('made.mark');
        Route::get('buildings/{building}/fit', FitController::class)->can('view', 'building')->name('fit');
        Route::get('buildings/{building}/find', [FindController::class, 'building'])->can('view', 'building')->name('find.building');
        Route::get('buildings/{building}/mockup', [MockupController::class, 'show'])->can('view', 'building')->name('mockup');
        Route::get('buildings/{building}/mockup.pdf', [MockupController::class, 'pdf'])->can('view', 'building')->name('mockup.pdf');
        Route::get('buildings/{building}/mockup/{page}.svg', [MockupController::class, 'page'])->whereNumber('page')->can('view', 'building')->name('mockup.page');
        Route::get('buildings/{building}/scales', [ScaleController::class, 'table'])->can('view', 'building')->name('scales');
        Route::get('buildings/{building}/relief', [ScaleController::class, 'relief'])->can('view', 'building')->name('relief');
        Route::get('buildings/{building}/sight', [ScaleController::class, 'sight'])->can('view', 'building')->name('sight');
        Route::get('buildings/{building}/compromises', [ScaleController::class, 'compromises'])->can('view', 'building')->name('compromises');
        Route::get('buildings/{building}/material', [ScaleController::class, 'material'])->can('view', 'building')->name('material');
        Route::get('buildings/{building}/section', SectionController::class)->can('view', 'building')->name('section');
        Route::get('buildings/{building}/stand', StandController::class)->can('view', 'building')->name('stand');
        Route::get('buildings/{building}/document', [BuildingFileController::class, 'document'])->can('view', 'building')->name('files.document');
        Route::get('buildings/{building}/kit.json', [BuildingFileController::class, 'kit'])->can('view', 'building')->name('files.kit');
        Route::get('buildings/{building}/sheets.pdf', [BuildingFileController::class, 'pdf'])->can('view', 'building')->name('files.pdf');
        Route::get('buildings/{building}/sheets/{sheet}.svg', [BuildingFileController::class, 'sheet'])->whereNumber('sheet')->can('view', 'building')->name('files.sheet');
        Route::get('buildings/{building}/sheets/{sheet}.plt', [BuildingFileController::class, 'plotter'])->whereNumber('sheet')->can('view', 'building')->name('files.plotter');
        Route::get('buildings/{building}/sheets/{sheet}/cut', [BuildingFileController::class, 'cut'])->whereNumber('sheet')->can('view', 'building')->name('files.cut');
        Route::get('buildings/{building}/sheets/{sheet}/printed.png', [BuildingFileController::class, 'printed'])->whereNumber('sheet')->can('view', 'building')->name('files.printed');
        Route::get('buildings/{building}/{file}', [BuildingFileController::class, 'other'])->whereIn('file', ['sheets.dxf', 'cutlist.csv', 'model.obj'])->can('view', 'building')->name('files.other');
        Route::get('buildings/{building}/parts/{part}.svg', [BuildingFileController::class, 'part'])->where('part', '[a-z0-9.-]+')->can('view', 'building')->name('files.part');
    });

    Route::any('{any}', [PageController::class, 'missing'])->where('any', '.*');
});

Route::get('/{any?}', [PageController::class, 'show'])->where('any', '.*')->name('page');
