<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Attachment;
use App\Http\Requests\CoveringRequest;
use App\Http\Requests\SeenRequest;
use App\Models\Building;
use App\Pictures\KeptPictures;
use Chartula\Core\Building\Building as Described;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Finish;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Drawing\CoveringSwatch;
use Chartula\Core\Drawing\SeenFrom;
use Chartula\Core\Drawing\SwatchPages;
use Chartula\Core\Output\PdfWriter;
use Chartula\Core\Output\SvgWriter;
use Chartula\Core\Problem\Problems;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Coverings by themselves: nothing of the building has to be derived for them but its scale, its bricks and its colours. */
final readonly class CoveringController
{
    /** A piece of one as it comes out on this building. */
    public function show(CoveringRequest $request, Building $building, Finish $finish): Response
    {
        $drawing = CoveringSwatch::of($finish, self::described($building), $request->paper(), $request->palette());

        return response(SvgWriter::write($drawing, KeptPictures::small($building)), 200, [
            'Content-Type' => 'image/svg+xml', 'Cache-Control' => 'private, max-age=300',
        ]);
    }

    /** A piece of each that the building has, on pages. */
    public function pdf(Building $building): Response
    {
        $revision = $building->lastSoundOrFail();
        $drawings = SwatchPages::of(self::described($building), "revision $revision->number");
        abort_if($drawings === [], 404, 'Nothing is covered yet.');
        $pdf = PdfWriter::write($drawings, $building->name, (int) $revision->created_at->timestamp, KeptPictures::fine($building));

        return response($pdf, 200, [
            'Content-Type' => 'application/pdf', 'Cache-Control' => 'no-store',
            'Content-Disposition' => Attachment::header($building->name, "-coverings-r$revision->number.pdf"),
        ]);
    }

    /** What is told apart from a distance. */
    public function seen(SeenRequest $request, Building $building): JsonResponse
    {
        return response()->json(['seen' => SeenFrom::of(self::described($building), $request->distance())]);
    }

    private static function described(Building $building): Described
    {
        return Compressor::of(BuildingReader::fromText($building->lastSoundOrFail()->text), new Problems)->building;
    }
}
