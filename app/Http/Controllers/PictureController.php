<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PictureRequest;
use App\Models\Building;
use App\Models\User;
use App\Pictures\KeepPicture;
use App\Pictures\KeptPictures;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The pictures of somebody's own papers. */
final readonly class PictureController
{
    /** Takes one in, and answers with what a document says of it. */
    public function store(PictureRequest $request, Building $building, #[CurrentUser] User $user, KeepPicture $keep): JsonResponse
    {
        return response()->json(['picture' => $keep->execute($user, $request->bytes())], 201);
    }

    public function show(Building $building, string $sha256): Response
    {
        return response(KeptPictures::small($building)->jpeg($sha256) ?? abort(404), 200, [
            'Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }
}
