<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Building;
use App\Pictures\KeptPictures;
use Chartula\Core\Building\Building as Described;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\ShippedKinds;
use Chartula\Core\Building\Starter;
use Chartula\Core\Building\Style;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Drawing\KindDrawing;
use Chartula\Core\Output\SvgWriter;
use Chartula\Core\Problem\Problems;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use stdClass;

/** Kinds of openings: those that a building has, those that are there to begin with, and how they come out on it. */
final readonly class KindController
{
    /** What a kind looks by, whatever building it is in. */
    private const LOOK = ['scale', 'gauge', 'stock', 'methods'];

    /** Its own, as its last sound state says them, and those that are shipped. */
    public function index(Building $building): JsonResponse
    {
        $styles = JsonText::decode($building->lastSoundOrFail()->text)->styles ?? null;
        $kinds = [];
        foreach ($styles instanceof stdClass ? get_object_vars($styles) : [] as $id => $style) {
            $kinds[] = ['id' => (string) $id, 'name' => Style::wordsOf((string) $id, $style), 'said' => $style];
        }
        $shipped = [];
        foreach (ShippedKinds::all() as $key => $one) {
            $shipped[] = ['key' => $key] + $one;
        }

        return response()->json(['kinds' => $kinds, 'shipped' => $shipped]);
    }

    public function show(Building $building, string $kind): Response
    {
        return self::drawn($building, self::described(JsonText::decode($building->lastSoundOrFail()->text)), $kind);
    }

    public function shipped(Building $building, string $kind): Response
    {
        $style = ShippedKinds::find($kind) ?? abort(404);
        $said = JsonText::decode($building->lastSoundOrFail()->text);
        // In a plain building at the same scale and of the same card: nothing else is in the way of it there.
        $document = Starter::document($building->name);
        foreach (self::LOOK as $key) {
            if (isset($said->{$key})) {
                $document->{$key} = $said->{$key};
            }
        }
        $document->styles = (object) [$kind => $style];

        return self::drawn($building, self::described($document), $kind);
    }

    private static function drawn(Building $building, Described $described, string $kind): Response
    {
        $style = $described->styles[$kind] ?? abort(404);
        $drawing = KindDrawing::of($described, $style) ?? abort(404);

        return response(SvgWriter::write($drawing, KeptPictures::small($building)), 200, [
            'Content-Type' => 'image/svg+xml', 'Cache-Control' => 'private, max-age=300',
        ]);
    }

    private static function described(stdClass $document): Described
    {
        return Compressor::of(BuildingReader::fromDocument($document), new Problems)->building;
    }
}
