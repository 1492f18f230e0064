<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Actions\KeptFiles;
use App\Models\Building;
use Chartula\Core\Drawing\FrontPicture;
use Chartula\Core\Drawing\WholeView;
use Chartula\Core\Output\SvgWriter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** How a building looks as a whole, and how it is known among others. */
final readonly class CardController
{
    /** Size, state and last change. */
    public function show(Building $building, DeriveKit $derive, KeptFiles $kept): JsonResponse
    {
        $latest = $building->latest();
        $sound = $building->lastSound();
        $own = $sound === null ? null : json_decode($kept->of($sound->text, 'card', static function () use ($derive, $sound): string {
            $answer = json_decode($derive->fromText($sound->text), true, 512, JSON_THROW_ON_ERROR);

            return json_encode(is_array($answer) ? $answer['card'] ?? null : null, JSON_THROW_ON_ERROR);
        }));
        $faults = count($latest->faults);

        return response()->json([
            'card' => $own, 'revision' => $latest->number, 'sound' => $sound?->number, 'changed' => $latest->summary,
            'faults' => $faults === 0 ? null : ($faults === 1 ? 'one thing has to be put right' : "$faults things have to be put right"),
        ]);
    }

    /** Its front as it is papered. */
    public function picture(Building $building, DeriveKit $derive, KeptFiles $kept): Response
    {
        $text = $building->lastSoundOrFail()->text;
        $svg = $kept->of($text, 'picture', static function () use ($derive, $text): string {
            $printed = $derive->printed($text);

            return SvgWriter::write(FrontPicture::of($printed->building, $printed->kit->form));
        });

        return response($svg, 200, ['Content-Type' => 'image/svg+xml', 'Cache-Control' => 'private, max-age=3600']);
    }

    /** One side with all blocks in their places. */
    public function whole(Building $building, string $side, DeriveKit $derive, KeptFiles $kept): JsonResponse
    {
        $revision = $building->lastSoundOrFail();

        $make = static function () use ($derive, $revision, $side): string {
            $printed = $derive->printed($revision->text);
            /** @var key-of<WholeView::SIDES> $side */
            $view = new WholeView($printed->building, $printed->kit->form, $side);

            return response()->json(['revision' => $revision->number] + $view->toArray())->content();
        };

        return JsonResponse::fromJsonString($kept->of($revision->text, "whole $side $revision->number", $make));
    }
}
