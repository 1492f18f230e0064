<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\MadeParts;
use App\Http\Requests\KeepPiecesRequest;
use App\Http\Requests\MarkPiecesRequest;
use App\Http\Requests\PrintedRequest;
use App\Models\Building;
use Illuminate\Http\JsonResponse;

/** What has been printed, cut, papered and fixed. */
final readonly class MadeController
{
    public function __construct(private MadeParts $made)
    {
    }

    public function show(Building $building): JsonResponse
    {
        return response()->json($this->made->shown($building));
    }

    /** Sheets came out of the printer. */
    public function print(PrintedRequest $request, Building $building): JsonResponse
    {
        $this->made->printed($building, $request->clientId(), $request->which(), $request->packing());

        return response()->json($this->made->shown($building), 201);
    }

    public function mark(MarkPiecesRequest $request, Building $building): JsonResponse
    {
        $this->made->mark($building, $request->pieces(), $request->state());

        return response()->json($this->made->shown($building));
    }

    /** Pieces that a new version made otherwise stay as they are, or no longer do. */
    public function keep(KeepPiecesRequest $request, Building $building): JsonResponse
    {
        $this->made->keep($building, $request->pieces(), $request->isKept());

        return response()->json($this->made->shown($building));
    }
}
