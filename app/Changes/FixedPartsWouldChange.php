<?php

declare(strict_types=1);

namespace App\Changes;

use Illuminate\Http\JsonResponse;
use RuntimeException;

/** A change would make parts stale that are already fixed to the model; the person is asked first. */
final class FixedPartsWouldChange extends RuntimeException
{
    public const CODE = 'fixed';

    /** @param  non-empty-list<array<string, mixed>>  $parts  how each would differ */
    public function __construct(private readonly array $parts)
    {
        $count = count($parts);
        parent::__construct(
            $count === 1 ? 'This changes a part that is already fixed.' : "This changes $count parts that are already fixed.",
        );
    }

    public function render(): JsonResponse
    {
        return response()->json(['code' => self::CODE, 'message' => $this->getMessage(), 'parts' => $this->parts], 409);
    }
}
