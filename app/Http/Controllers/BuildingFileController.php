<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Actions\KeptFiles;
use App\Actions\MadeParts;
use App\Actions\PackedSheets;
use App\Http\Attachment;
use App\Http\Requests\FacesRequest;
use App\Http\Requests\PrinterRequest;
use App\Http\Requests\SheetsRequest;
use App\Models\Building;
use App\Models\Revision;
use App\Pictures\KeptPictures;
use Chartula\Core\Drawing\PartDrawing;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Output\KitFiles;
use Chartula\Core\Output\PdfWriter;
use Chartula\Core\Output\Plotter\PlotterWriter;
use Chartula\Core\Output\Plotter\SimulatedCutter;
use Chartula\Core\Output\SvgWriter;
use Chartula\Core\Sheets\Frame;
use Chartula\Core\Sheets\Wanted;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The files of a building: its document, its kit, its sheets, and drawings of parts for the screen. */
final readonly class BuildingFileController
{
    /** Of the picture of a printed sheet. */
    private const DOTS_PER_INCH = 150;

    private const OTHER = [
        'sheets.dxf' => ['dxf', 'image/vnd.dxf'],
        'cutlist.csv' => ['csv', 'text/csv; charset=utf-8'],
        'model.obj' => ['obj', 'model/obj'],
        'marking-out.pdf' => ['marking', 'application/pdf'],
        'templates.pdf' => ['templates', 'application/pdf'],
    ];

    public function __construct(
        private DeriveKit $derive,
        private MadeParts $made,
        private KeptFiles $kept,
        private PackedSheets $packed,
    ) {
    }

    public function document(Building $building): Response
    {
        return self::download($building->latest()->text, 'application/json', $building, '.building.json');
    }

    public function kit(Building $building): Response
    {
        $text = $building->lastSoundOrFail()->text;
        $what = 'kit '.json_encode($this->packed->isKept($text));
        $json = $this->kept->of($text, $what, fn (): string => $this->derive->derivation($text)->json);

        return self::download($json, 'application/json', $building, '.kit.json');
    }

    /** All sheets; with `only=stale` the pieces that were made and are no longer right, with `of` those of a block or wall. */
    public function pdf(SheetsRequest $request, Building $building): Response
    {
        $revision = $building->lastSoundOrFail();
        $stale = $this->stale($request, $building);
        $isPacked = $this->packed->isKept($revision->text);
        $what = 'pdf '.json_encode([self::footer($revision), $building->name, $stale, $request->key(), $isPacked]);

        return self::download(
            $this->kept->of($revision->text, $what, function () use ($request, $building, $revision, $stale): string {
                $printed = $this->derive->printed($revision->text, $request->packing());
                $pictures = KeptPictures::fine($building);
                $pictures->demand($printed->building, $printed->kit);
                $wanted = $request->wanted($printed->kit, $stale);
                $drawings = $printed->drawings(self::footer($revision), $wanted);
                abort_if($drawings === [], 404, $stale === null ? 'No part fits a page.' : 'No piece is stale.');
                $index = $wanted === null ? $printed->before(self::footer($revision)) : [];

                return PdfWriter::write([...$index, ...$drawings], $building->name, (int) $revision->created_at->timestamp, $pictures);
            }),
            'application/pdf',
            $building,
            '-r'.$revision->number.match (true) {
                $stale !== null => '-stale',
                $request->query('only') === 'trial' => '-trial',
                $request->of() !== null => '-'.str_replace('.', '-', $request->of()),
                default => '',
            }.'.pdf',
        );
    }

    /** The stale pieces where these alone are asked for. */
    private function stale(SheetsRequest $request, Building $building): ?Wanted
    {
        return $request->isStaleOnly() ? $this->made->stale($building) : null;
    }

    public function sheet(SheetsRequest $request, Building $building, int $sheet): Response
    {
        $revision = $building->asked($request);
        [$stale, $isScreen] = [$this->stale($request, $building), $request->boolean('screen')];
        $isSaved = $request->boolean('download');
        $isPacked = $this->packed->isKept($revision->text);
        $what = "sheet $sheet ".json_encode([self::footer($revision), $stale, $isScreen, $request->key(), $isPacked, $isSaved]);
        $pictures = $isSaved ? KeptPictures::fine($building) : KeptPictures::small($building);
        $svg = $this->kept->of($revision->text, $what, function () use (
            $request, $revision, $sheet, $stale, $isScreen, $isSaved, $pictures,
        ): string {
            $printed = $this->derive->printed($revision->text, $request->packing());
            $drawing = $printed->drawing($sheet, self::footer($revision), $request->wanted($printed->kit, $stale)) ?? abort(404);

            $isSaved ? $pictures->demand($printed->building, $printed->kit) : null;

            // A page shown small loses hairlines, so for a screen they are drawn thicker.
            return SvgWriter::write($isScreen ? $drawing->withStrokesTimes(4.0) : $drawing, $pictures);
        });

        return $isSaved
            ? self::download($svg, 'image/svg+xml', $building, "-sheet-$sheet.svg")
            : self::picture($svg);
    }

    /** Sends the kit for other programs: as a drawing, a cut list or a model. */
    public function other(Building $building, string $file): Response
    {
        [$format, $type] = self::OTHER[$file];
        $revision = $building->lastSoundOrFail();
        [$text, $footer] = [$revision->text, self::footer($revision)];

        $write = fn (): string => KitFiles::of($this->derive->derivation($text), [$format], $footer)[$file] ?? abort(404);

        return self::download(
            $this->kept->of($text, "$file $footer ".json_encode($this->packed->isKept($text)), $write),
            $type,
            $building,
            '-'.$file,
        );
    }

    /** A sheet for a cutting plotter. */
    public function plotter(SheetsRequest $request, Building $building, int $sheet): Response
    {
        $printed = $this->derive->printed($building->lastSoundOrFail()->text, $request->packing());
        $found = $printed->plan->sheet($sheet) ?? abort(404);

        return self::download(
            PlotterWriter::write($found, $building->name),
            'application/vnd.hp-hpgl',
            $building,
            "-sheet-$sheet.plt",
        );
    }

    /** What the simulated cutter makes of that file. */
    public function cut(SheetsRequest $request, Building $building, int $sheet): JsonResponse
    {
        $printed = $this->derive->printed($building->lastSoundOrFail()->text, $request->packing());
        $found = $printed->plan->sheet($sheet) ?? abort(404);
        $size = [$found->page->width, $found->page->height];

        return response()->json(
            SimulatedCutter::run(PlotterWriter::write($found, $building->name), $size, $found->passesAt(...))->toArray() + [
                'size' => $size,
                'passes' => $found->stock()->cutPasses(),
                'cuts' => array_map(
                    static fn (Frame $f): array => ['stock' => $f->stock->words(), 'passes' => $f->stock->cutPasses()],
                    $found->frames,
                ),
            ],
        );
    }

    /** A sheet as the simulated printer prints it, with its error. */
    public function printed(PrinterRequest $request, Building $building, int $sheet): Response
    {
        $drawing = $this->derive->printed($building->lastSoundOrFail()->text)->drawing($sheet) ?? abort(404);
        $pdf = PdfWriter::write([$drawing], $building->name, pictures: KeptPictures::small($building));

        return response(
            $request->printer(self::DOTS_PER_INCH)->page($pdf, 1),
            200,
            ['Content-Type' => 'image/png', 'Cache-Control' => 'no-store'],
        );
    }

    /**
     * One part by itself, of revision `r` or the last sound one; with `art` only what shows on the finished wall, with `face` its whole
     * printed face.
     */
    public function part(Request $request, Building $building, string $part): Response
    {
        $text = $building->asked($request)->text;
        $how = match (true) {
            $request->boolean('face') => 'face',
            $request->boolean('art') => 'art',
            default => 'part',
        };

        return self::picture($this->kept->of($text, "$how $part", function () use ($text, $building, $part, $how): string {
            $parts = $this->derive->printed($text)->kit->parts;
            $found = array_values(array_filter($parts, static fn (LabelledPart $p): bool => $p->part->id === $part))[0] ?? abort(404);

            return SvgWriter::write(match ($how) {
                'face' => PartDrawing::face($found),
                'art' => PartDrawing::onWall($found),
                default => PartDrawing::of($found),
            }, KeptPictures::small($building));
        }));
    }

    /** The whole printed faces of parts, as pictures by their ids; of all that are printed, or of those in `of`. */
    public function faces(FacesRequest $request, Building $building): JsonResponse
    {
        $text = $building->asked($request)->text;
        $of = $request->of();

        $make = function () use ($text, $building, $of): string {
            $faces = [];
            $pictures = KeptPictures::small($building);
            foreach ($this->derive->printed($text)->kit->parts as $part) {
                $isWanted = $part->part->art !== null && ($of === null || isset($of[$part->part->id]));
                $faces += $isWanted ? [$part->part->id => SvgWriter::write(PartDrawing::face($part), $pictures)] : [];
            }

            return (string) response()->json(['faces' => (object) $faces])->content();
        };

        return JsonResponse::fromJsonString($this->kept->of($text, 'faces '.json_encode($of), $make));
    }

    private static function footer(Revision $revision): string
    {
        return "revision $revision->number, ".$revision->created_at->format('j M Y');
    }

    private static function download(string $bytes, string $type, Building $building, string $ending): Response
    {
        return response($bytes, 200, [
            'Content-Type' => $type, 'Content-Disposition' => Attachment::header($building->name, $ending), 'Cache-Control' => 'no-store',
        ]);
    }

    private static function picture(string $svg): Response
    {
        return response($svg, 200, ['Content-Type' => 'image/svg+xml', 'Cache-Control' => 'private, max-age=300']);
    }
}
