<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Chartula\Core\Output\FaultWords;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * Faults of what was sent, as one shape for all of them: a path, a code and a sentence each.
 *
 * @property InvalidInput $resource
 */
final class ProblemsResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $units = $request->user()?->units;
        $said = static fn (Problem $p): array => $units === null ? $p->toArray() : ['text' => FaultWords::said($p, $units)] + $p->toArray();

        return ['message' => 'This cannot be used as it is.', 'problems' => array_map($said, $this->resource->problems)];
    }
}
