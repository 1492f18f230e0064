<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Http\Attachment;
use App\Http\Requests\MockupRequest;
use App\Models\Building;
use App\Models\Revision;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\MockupDrawing;
use Chartula\Core\Mockup\Mockup;
use Chartula\Core\Mockup\Net;
use Chartula\Core\Output\PdfWriter;
use Chartula\Core\Output\SvgWriter;
use Chartula\Core\Sheets\Page;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The mock-up of a revision: what its pieces are, its pages, and all of them as one file. */
final readonly class MockupController
{
    public function __construct(private DeriveKit $derive)
    {
    }

    public function show(MockupRequest $request, Building $building): JsonResponse
    {
        $revision = $building->asked($request);
        [$mockup, $drawings] = $this->made($request, $revision);

        return response()->json([
            'revision' => $revision->number, 'percent' => $mockup->percent, 'pages' => count($drawings),
            'nets' => array_map(
                static fn (Net $n): array =>
                    ['name' => $n->name, 'faces' => count($n->faces), 'folds' => count($n->folds), 'tabs' => count($n->tabs)],
                $mockup->nets,
            ),
        ]);
    }

    public function pdf(MockupRequest $request, Building $building): Response
    {
        $revision = $building->asked($request);
        [$mockup, $drawings] = $this->made($request, $revision);
        abort_if($drawings === [], 404);
        $name = Attachment::header($building->name, "-mock-up-r$revision->number-$mockup->percent.pdf");

        return response(
            PdfWriter::write($drawings, $building->name, (int) $revision->created_at->timestamp),
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => $name, 'Cache-Control' => 'no-store'],
        );
    }

    public function page(MockupRequest $request, Building $building, int $page): Response
    {
        $drawing = $this->made($request, $building->asked($request))[1][$page - 1] ?? abort(404);

        return response(
            SvgWriter::write($drawing->withStrokesTimes(3.0)),
            200,
            ['Content-Type' => 'image/svg+xml', 'Cache-Control' => 'private, max-age=300'],
        );
    }

    /** @return array{Mockup, list<Drawing>} */
    private function made(MockupRequest $request, Revision $revision): array
    {
        $described = BuildingReader::fromText($revision->text);
        $page = new Page($described->sheets);
        $mockup = Mockup::of(
            $this->derive->printed($revision->text)->kit->form,
            $request->percent(),
            $page->roomWidth(),
            $page->roomHeight(),
        );

        return [$mockup, MockupDrawing::of($described, $mockup, "revision $revision->number")];
    }
}
