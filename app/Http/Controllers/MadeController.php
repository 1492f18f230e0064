<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\MadeParts;
use App\Models\Building;
use Chartula\Core\Bench\MadePiece;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

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
    public function print(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate([
            'client_id' => ['required', 'uuid'],
            'which' => ['required_without:sheets', 'in:all,stale'],
            'sheets' => ['required_without:which', 'array', 'min:1', 'max:500'],
            'sheets.*' => ['string', 'max:10'],
        ]);
        $this->made->printed($building, $input['client_id'], $input['which'] ?? array_values($input['sheets']));

        return response()->json($this->made->shown($building), 201);
    }

    public function mark(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate([
            'pieces' => ['required', 'array', 'min:1', 'max:5000'],
            'pieces.*.part' => ['required', 'string', 'max:200'],
            'pieces.*.copy' => ['required', 'integer', 'min:0', 'max:5000'],
            'state' => ['present', 'nullable', Rule::in(MadePiece::STATES)],
        ]);
        $this->made->mark($building, array_values($input['pieces']), $input['state']);

        return response()->json($this->made->shown($building));
    }
}
