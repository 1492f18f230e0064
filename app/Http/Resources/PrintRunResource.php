<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\PrintRun;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A set of sheets that was printed.
 *
 * @property PrintRun $resource
 */
final class PrintRunResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $run = $this->resource;

        return ['revision' => $run->revision, 'what' => $run->what, 'pieces' => $run->pieces, 'at' => $run->created_at->toIso8601String()];
    }
}
