<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Revision;
use Chartula\Core\Building\Difference\Change;
use Chartula\Core\Building\Difference\DocumentDifference;
use Chartula\Core\Building\JsonText;
use RuntimeException;

/** Somebody saved in between: what stands now, what was sent, and how each differs from what both began with. */
final class RevisionConflict extends RuntimeException
{
    /** @param  array<string, mixed>  $sent */
    public function __construct(
        private readonly Revision $base,
        private readonly Revision $theirs,
        private readonly RevisionChange $mine,
        private readonly array $sent,
    ) {
        parent::__construct('The building was changed elsewhere meanwhile.');
    }

    /** @return array<string, mixed> */
    public function answer(): array
    {
        $base = JsonText::decode($this->base->text);
        $theirs = DocumentDifference::of($base, JsonText::decode($this->theirs->text));
        $mine = DocumentDifference::of($base, $this->mine->document);

        return [
            'message' => $this->getMessage(),
            'base' => $this->base->number,
            'theirs' => $this->theirs->shown() + ['document' => json_decode($this->theirs->text)],
            'mine' => ['summary' => $this->mine->summary, 'document' => $this->mine->document],
            'sent' => (object) $this->sent,
            'differences' => ['theirs' => self::listed($theirs, $mine), 'mine' => self::listed($mine, $theirs)],
        ];
    }

    /**
     * @param  list<Change>  $changes
     * @param  list<Change>  $others
     * @return list<array<string, mixed>>
     */
    private static function listed(array $changes, array $others): array
    {
        return array_map(static fn (Change $c): array => $c->toArray() + ['clashes' => array_filter($others, $c->clashesWith(...)) !== []], $changes);
    }
}
