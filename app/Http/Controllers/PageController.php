<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FrontEnd;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The one page that the front end runs in. */
final readonly class PageController
{
    public function show(FrontEnd $frontEnd): Response
    {
        return response($frontEnd->page(), 200, ['Content-Type' => 'text/html; charset=utf-8', 'Cache-Control' => 'no-store']);
    }

    public function missing(): JsonResponse
    {
        return response()->json(['message' => 'There is nothing here.'], 404);
    }
}
