<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\BuildingController;
use App\Http\Controllers\BuildingFileController;
use App\Http\Controllers\CardController;
use App\Http\Controllers\CompromisesController;
use App\Http\Controllers\CoveringController;
use App\Http\Controllers\DryFitController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\FormController;
use App\Http\Controllers\KindController;
use App\Http\Controllers\LengthController;
use App\Http\Controllers\MadeController;
use App\Http\Controllers\MaterialController;
use App\Http\Controllers\MockupController;
use App\Http\Controllers\NeighbourController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\ProjectController;
use App\Http\Controllers\ReliefController;
use App\Http\Controllers\RevisionController;
use App\Http\Controllers\ScaleTableController;
use App\Http\Controllers\SectionController;
use App\Http\Controllers\SheetsController;
use App\Http\Controllers\SightController;
use App\Http\Controllers\StandController;
use App\Http\Controllers\StarterShapeController;
use App\Http\Middleware\RefuseNul;
use App\Models\Project;
use Illuminate\Support\Facades\Route;

// No revision, sheet or page has a number of more digits.
Route::patterns(array_fill_keys(['number', 'from', 'to', 'sheet', 'page'], '[1-9][0-9]{0,8}'));

Route::prefix('api')->middleware(RefuseNul::class)->group(function (): void {
    Route::get('me', [AccountController::class, 'me'])->name('me');
    Route::middleware('throttle:sign-in')->group(function (): void {
        Route::post('register', [AccountController::class, 'register'])->name('register');
        Route::post('sign-in', [AccountController::class, 'signIn'])->name('sign-in');
        Route::post('demo', [AccountController::class, 'demo'])->name('demo');
    });

    Route::middleware(['auth', 'same-person', 'turns'])->group(function (): void {
        Route::post('sign-out', [AccountController::class, 'signOut'])->name('sign-out');
        Route::patch('me', [AccountController::class, 'update'])->name('me.update');
        Route::post('lengths', LengthController::class)->name('lengths');
        Route::get('forms', FormController::class)->name('forms');
        Route::get('shapes', StarterShapeController::class)->name('shapes');
        Route::get('find', [FindController::class, 'anywhere'])->name('find');

        Route::controller(ProjectController::class)->prefix('projects')->name('projects.')->group(function (): void {
            Route::get('', 'index')->can('viewAny', Project::class)->name('index');
            Route::post('', 'store')->can('create', Project::class)->name('store');
            Route::post('import', 'import')->can('create', Project::class)->name('import');
            Route::get('import/{reading}', 'reading')->where('reading', '[0-9a-z]{26}')->name('reading');
            Route::get('{project}/archive', 'archive')->can('view', 'project')->name('archive');
            Route::patch('{project}', 'update')->can('update', 'project')->name('update');
            Route::delete('{project}', 'destroy')->can('delete', 'project')->name('destroy');
        });
        Route::post('projects/{project}/buildings', [BuildingController::class, 'store'])
            ->can('update', 'project')
            ->name('buildings.store');
        Route::delete('buildings/{building}', [BuildingController::class, 'destroy'])->can('delete', 'building')->name('buildings.destroy');

        Route::prefix('buildings/{building}')->middleware('can:update,building')->group(function (): void {
            Route::post('revisions', [RevisionController::class, 'store'])->name('revisions.store');
            Route::patch('revisions/{number}', [RevisionController::class, 'update'])->name('revisions.update');
            Route::post('pictures', [PictureController::class, 'store'])->name('pictures.store');
            Route::post('prints', [MadeController::class, 'print'])->name('made.print');
            Route::patch('pieces', [MadeController::class, 'mark'])->name('made.mark');
            Route::patch('pieces/kept', [MadeController::class, 'keep'])->name('made.keep');
        });

        Route::prefix('buildings/{building}')->middleware('can:view,building')->group(function (): void {
            Route::get('', [BuildingController::class, 'show'])->name('buildings.show');
            Route::get('revisions', [RevisionController::class, 'index'])->name('revisions.index');
            Route::post('preview', [RevisionController::class, 'preview'])->name('revisions.preview');
            Route::get(
                'revisions/{from}/compare/{to}',
                [RevisionController::class, 'compare'],
            )->name('revisions.compare');
            Route::get('made', [MadeController::class, 'show'])->name('made.show');
            Route::get('pictures/{sha256}.jpg', [PictureController::class, 'show'])->where('sha256', '[0-9a-f]{64}')->name('pictures.show');
            Route::get('find', [FindController::class, 'building'])->name('find.building');

            Route::get('sheets', SheetsController::class)->name('sheets');
            Route::get('fit', DryFitController::class)->name('fit');
            Route::get('stand', StandController::class)->name('stand');
            Route::get('section', SectionController::class)->name('section');
            Route::get('as-neighbour', NeighbourController::class)->name('as-neighbour');
            Route::controller(CardController::class)->group(function (): void {
                Route::get('card', 'show')->name('card');
                Route::get('picture.svg', 'picture')->name('picture');
                Route::get('whole/{side}', 'whole')->whereIn('side', ['front', 'right', 'back', 'left'])->name('whole');
            });
            Route::get('scales', ScaleTableController::class)->name('scales');
            Route::get('relief', ReliefController::class)->name('relief');
            Route::get('compromises', CompromisesController::class)->name('compromises');
            Route::get('sight', SightController::class)->name('sight');
            Route::get('material', MaterialController::class)->name('material');

            Route::controller(KindController::class)->name('kinds.')->group(function (): void {
                Route::get('kinds', 'index')->name('index');
                Route::get('kinds/{kind}.svg', 'show')->where('kind', '[a-z0-9-]{1,32}')->name('show');
                Route::get('kinds/shipped/{kind}.svg', 'shipped')->where('kind', '[a-z0-9-]{1,32}')->name('shipped');
            });
            Route::controller(CoveringController::class)->group(function (): void {
                Route::get('coverings/{finish}.svg', 'show')->name('covering');
                Route::get('coverings.pdf', 'pdf')->name('coverings.pdf');
                Route::get('seen', 'seen')->name('seen');
            });
            Route::controller(MockupController::class)->group(function (): void {
                Route::get('mockup', 'show')->name('mockup');
                Route::get('mockup.pdf', 'pdf')->name('mockup.pdf');
                Route::get('mockup/{page}.svg', 'page')->name('mockup.page');
            });

            Route::controller(BuildingFileController::class)->name('files.')->group(function (): void {
                Route::get('document', 'document')->name('document');
                Route::get('kit.json', 'kit')->name('kit');
                Route::get('sheets.pdf', 'pdf')->name('pdf');
                Route::get('sheets/{sheet}.svg', 'sheet')->name('sheet');
                Route::get('sheets/{sheet}.plt', 'plotter')->name('plotter');
                Route::get('sheets/{sheet}/cut', 'cut')->name('cut');
                Route::get('sheets/{sheet}/printed.png', 'printed')->name('printed');
                Route::get('parts/{part}.svg', 'part')->where('part', '[a-z0-9.-]+')->name('part');
                Route::get('faces', 'faces')->name('faces');
                Route::get('{file}', 'other')
                    ->whereIn('file', ['sheets.dxf', 'cutlist.csv', 'model.obj', 'marking-out.pdf', 'templates.pdf'])
                    ->name('other');
            });
        });
    });

    Route::any('{any}', [PageController::class, 'missing'])->where('any', '.*');
});

Route::get('/{any?}', [PageController::class, 'show'])->where('any', '.*')->name('page');
