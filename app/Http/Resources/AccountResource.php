<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * Who is signed in, and whether the demo may be entered here.
 *
 * @property ?User $resource
 */
final class AccountResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'user' => $this->resource === null ? null : new UserResource($this->resource),
            'demo' => User::demo() !== null,
        ];
    }
}
