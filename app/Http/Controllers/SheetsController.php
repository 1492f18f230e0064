<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Actions\PackedSheets;
use App\Http\Requests\SheetsRequest;
use App\Models\Building;
use App\Pictures\KeptPictures;
use Chartula\Core\Output\Docket;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Problem\ProblemText;
use Chartula\Core\Sheets\Sheet;
use Illuminate\Http\JsonResponse;

/** How a kit lies on its sheets, as well as is known; asking has it looked for thoroughly, beside the requests. */
final readonly class SheetsController
{
    public function __construct(private DeriveKit $derive, private PackedSheets $packed)
    {
    }

    public function __invoke(SheetsRequest $request, Building $building): JsonResponse
    {
        $revision = $building->lastSoundOrFail();
        $isPacked = $this->packed->isKept($revision->text);
        // What is printed lies where it lies: little is left to be packed tighter.
        $isPrinted = $this->derive->printedPlaces($revision->text) !== [];
        if (! $isPacked && ! $isPrinted) {
            $this->packed->ask($revision);
        }
        $packing = $request->packing() ?? ($isPacked ? Effort::Thorough : Effort::Quick);
        $printed = $this->derive->printed($revision->text, $packing);
        $plan = $printed->plan;

        return response()->json([
            'revision' => $revision->number,
            'packing' => $packing->value,
            'looking' => ! $isPacked && ! $isPrinted && $this->packed->isAskedFor($revision->text),
            'bound' => $plan->bound,
            'percent' => round(100.0 * $plan->yield, 1),
            'docket' => Docket::sheets($printed),
            'stage' => Docket::pages($printed),
            // Without them nothing is sent to a printer: said before somebody asks for it.
            'missing' => array_map(
                ProblemText::of(...),
                KeptPictures::small($building)->missing($printed->building, $printed->kit),
            ),
            'sheets' => array_map(static fn (Sheet $s): array => $s->toArray(), $plan->sheets),
        ]);
    }
}
