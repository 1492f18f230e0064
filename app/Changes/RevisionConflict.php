<?php

declare(strict_types=1);

namespace App\Changes;

use App\Http\Resources\RevisionResource;
use App\Models\Revision;
use Chartula\Core\Building\Difference\Change as Difference;
use Chartula\Core\Building\Difference\DocumentDifference;
use Chartula\Core\Building\JsonText;
use Illuminate\Http\JsonResponse;
use RuntimeException;

/** Somebody saved in between: what stands now, what was sent, and how each differs from what both began with. */
final class RevisionConflict extends RuntimeException
{
    public const CODE = 'conflict';

    public function __construct(
        private readonly Revision $base,
        private readonly Revision $theirs,
        private readonly WorkedChange $mine,
        private readonly Change $sent,
    ) {
        parent::__construct('The building was changed elsewhere meanwhile.');
    }

    public function render(): JsonResponse
    {
        $base = JsonText::decode($this->base->text);
        $theirs = DocumentDifference::of($base, JsonText::decode($this->theirs->text));
        $mine = DocumentDifference::of($base, $this->mine->document);

        return response()->json([
            'code' => self::CODE,
            'message' => $this->getMessage(),
            'base' => $this->base->number,
            'theirs' => RevisionResource::make($this->theirs)->resolve() + ['document' => json_decode($this->theirs->text)],
            'mine' => ['summary' => $this->mine->summary, 'document' => $this->mine->document],
            'sent' => (object) $this->sent->toArray(),
            'differences' => ['theirs' => self::listed($theirs, $mine), 'mine' => self::listed($mine, $theirs)],
        ], 409);
    }

    /**
     * @param  list<Difference>  $changes
     * @param  list<Difference>  $others
     * @return list<array<string, mixed>>
     */
    private static function listed(array $changes, array $others): array
    {
        return array_map(
            static fn (Difference $c): array => $c->toArray() + ['clashes' => array_filter($others, $c->clashesWith(...)) !== []],
            $changes,
        );
    }
}
