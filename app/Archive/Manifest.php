<?php

declare(strict_types=1);

namespace App\Archive;

use App\Actions\ExportProject;
use Chartula\Core\Bench\MadePiece;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Field\Node;
use Chartula\Core\Kit\Compare\PartRecord;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use JsonException;
use stdClass;
use UnexpectedValueException;

/**
 * What the archive of a project says of itself, read once from end to end: every fault has its path in the file, and its cost grows with
 * its
 * length. docs/formats.md, section 6
 *
 * @phpstan-type RevisionEntry array{number: int, client_id: string, summary: string, name: ?string, note: ?string, kind: string,
 *     stands_for: int, before: ?int, redo: list<int>, parts_changed: ?int, is_sound: bool, faults: list<mixed>, at: string}
 * @phpstan-type PrintEntry array{id: string, client_id: string, revision: int, what: string, pieces: int, at: string}
 * @phpstan-type PieceEntry array{part: string, copy: int, state: string, print: ?string, record: array<string, mixed>, revision: ?int,
 *     kept: ?array{string, string}}
 * @phpstan-type BuildingEntry array{folder: string, name: string, revisions: list<RevisionEntry>, prints: list<PrintEntry>,
 *     pieces: list<PieceEntry>}
 */
final readonly class Manifest
{
    public const MOST_BYTES = 32 * 1024 * 1024;

    /** So many objects and values are held at once. */
    private const MOST_OBJECTS = 200_000;

    private const MOST_VALUES = 2_000_000;

    private const MOST_BUILDINGS = 500;

    private const MOST_REVISIONS = 10_000;

    private const MOST_PIECES = 20_000;

    private const MOST_FAULTS = 1000;

    private const KINDS = ['edit', 'undo', 'redo', 'restore'];

    private const FILE = 'project.json';

    private const UUID = '/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/Di';

    private const ULID = '/^[0-7][0-9a-hjkmnp-tv-z]{25}$/Di';

    /** @param  list<BuildingEntry>  $buildings */
    private function __construct(
        public string $name,
        public array $buildings,
    ) {
    }

    /** @throws InvalidInput with everything that is wrong with it */
    public static function read(string $text): self
    {
        $value = self::decoded($text);
        if (! $value instanceof stdClass || ($value->format ?? null) !== ExportProject::FORMAT || ($value->version ?? null) !== 1) {
            throw InvalidInput::at(self::FILE, 'archive.no-project', ['wanted' => ExportProject::FORMAT.', version 1']);
        }
        $problems = new Problems;
        $node = new Node($value, self::FILE, $problems);
        $buildings = [];
        if ($node->isObject(['format', 'version', 'name', 'buildings'])) {
            $name = self::words($node->get('name'), 200);
            foreach ($node->get('buildings')?->items(self::MOST_BUILDINGS) ?? [] as $entry) {
                $building = self::building($entry);
                array_push($buildings, ...($building === null ? [] : [$building]));
            }
        }
        $problems->throwIfAny();

        return new self($name ?? '', $buildings);
    }

    /** @throws InvalidInput */
    private static function decoded(string $text): mixed
    {
        foreach ([[substr_count($text, '{'), self::MOST_OBJECTS], [substr_count($text, ','), self::MOST_VALUES]] as [$given, $limit]) {
            if ($given > $limit) {
                throw InvalidInput::at(self::FILE, 'too-many', ['given' => $given, 'limit' => $limit]);
            }
        }
        if (JsonText::withoutNul($text) !== $text) {
            throw InvalidInput::at(self::FILE, 'text.nul');
        }
        try {
            return json_decode($text, false, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw InvalidInput::at(self::FILE, 'json.syntax', ['message' => strtolower($e->getMessage())]);
        }
    }

    private static function words(?Node $node, int $most): ?string
    {
        $text = $node?->text($most);
        if ($text === '') {
            $node?->fault('missing');
        }

        return $text === '' ? null : $text;
    }

    private static function matching(?Node $node, string $pattern, string $wanted): ?string
    {
        $text = $node?->text(200);
        if ($text !== null && preg_match($pattern, $text) !== 1) {
            $node?->fault('wrong-type', ['given' => Node::typeOf($text), 'wanted' => $wanted]);

            return null;
        }

        return $text;
    }

    private static function moment(?Node $node): ?string
    {
        $text = self::matching($node, '/^20\d\d-\d\d-\d\d[T ]\d\d:\d\d:\d\d(\.\d{1,6})?(Z|[+-]\d\d:?\d\d)?$/D', 'a date and time of this century');
        if ($text !== null && strtotime($text) === false) {
            $node?->fault('wrong-type', ['given' => Node::typeOf($text), 'wanted' => 'a date and time']);

            return null;
        }

        return $text;
    }

    /** A value that may be null, and is read by $read where it is not. */
    private static function orNull(?Node $node, callable $read): mixed
    {
        return $node === null || $node->value === null ? null : $read($node);
    }

    /** @return ?BuildingEntry */
    private static function building(Node $node): ?array
    {
        if (! $node->isObject(['folder', 'name', 'revisions', 'prints', 'pieces'])) {
            return null;
        }
        $folder = self::matching($node->get('folder'), '#^buildings/[0-9a-z-]{1,200}$#D', 'a folder in buildings/');
        $name = self::words($node->get('name'), 200);
        $revisions = self::each($node->get('revisions'), self::MOST_REVISIONS, 1, self::revision(...));
        $prints = self::each(
            $node->get('prints'),
            self::MOST_REVISIONS,
            0,
            static fn (Node $n): ?array => self::print($n, count($revisions)),
        );
        $ids = array_fill_keys(array_column($prints, 'id'), true);
        $pieces = self::each(
            $node->get('pieces'),
            self::MOST_PIECES,
            0,
            static fn (Node $n): ?array => self::piece($n, $ids, count($revisions)),
        );
        self::apart($node->get('revisions'), array_column($revisions, 'client_id'));
        self::apart($node->get('prints'), array_column($prints, 'client_id'));
        self::apart($node->get('prints'), array_column($prints, 'id'));
        self::apart($node->get('pieces'), array_map(static fn (array $p): string => $p['part'].'#'.$p['copy'], $pieces));

        return $folder === null || $name === null ? null : [
            'folder' => $folder, 'name' => $name, 'revisions' => $revisions, 'prints' => $prints, 'pieces' => $pieces,
        ];
    }

    /**
     * @template T
     *
     * @param  callable(Node, int): ?T  $read  with its place in the list
     * @return list<T>
     */
    private static function each(?Node $node, int $most, int $least, callable $read): array
    {
        $made = [];
        foreach ($node?->items($most, $least) ?? [] as $i => $item) {
            $one = $read($item, $i);
            if ($one !== null) {
                $made[] = $one;
            }
        }

        return $made;
    }

    /** @param  list<string>  $keys  no two of which may be the same */
    private static function apart(?Node $node, array $keys): void
    {
        $twice = array_diff_key($keys, array_unique(array_map(strtolower(...), $keys)));
        if ($twice !== []) {
            $node?->fault('id-twice', ['given' => mb_substr(reset($twice), 0, 80)]);
        }
    }

    /** @return ?RevisionEntry */
    private static function revision(Node $node, int $i): ?array
    {
        $required = [
            'number',
            'client_id',
            'summary',
            'name',
            'kind',
            'stands_for',
            'before',
            'redo',
            'parts_changed',
            'is_sound',
            'faults',
            'at',
        ];
        if (! $node->isObject($required, ['note'])) {
            return null;
        }
        $whole = static fn (int $most): callable => static fn (Node $n): ?int => $n->whole(1, $most);
        $number = $node->get('number')?->whole(1, self::MOST_REVISIONS);
        if ($number !== null && $number !== $i + 1) {
            $node->fault('archive.numbers', ['wanted' => $i + 1]);
        }
        $entry = [
            'number' => $number, 'client_id' => self::matching($node->get('client_id'), self::UUID, 'an id of 36 letters and figures'),
            'summary' => self::words(
                $node->get('summary'),
                2000,
            ), 'name' => self::orNull($node->get('name'), static fn (Node $n): ?string => $n->text(200)),
            'note' => self::orNull($node->get('note'), static fn (Node $n): ?string => $n->text(4000)), 'kind' => $node->get('kind')?->choice(self::KINDS),
            'stands_for' => $node->get('stands_for')?->whole(1, $i + 1), 'before' => self::orNull($node->get('before'), $whole(max(1, $i))),
            'redo' => self::each($node->get('redo'), self::MOST_REVISIONS, 0, static fn (Node $n): ?int => $n->whole(1, max(1, $i))),
            'parts_changed' => self::orNull($node->get('parts_changed'), static fn (Node $n): ?int => $n->whole(0, 1_000_000)),
            'is_sound' => $node->get('is_sound')?->bool(), 'faults' => self::each(
                $node->get('faults'),
                self::MOST_FAULTS,
                0,
                self::fault(...),
            ),
            'at' => self::moment($node->get('at')),
        ];

        /** @var ?RevisionEntry */
        return in_array(
            null,
            array_intersect_key($entry, array_flip(['number', 'client_id', 'summary', 'kind', 'stands_for', 'is_sound', 'at'])),
            true,
        ) ? null : $entry;
    }

    /** @return ?array{path: string, code: string, text: string} */
    private static function fault(Node $node): ?array
    {
        $read = $node->isObject(['path', 'code', 'text'])
            ? [$node->get('path')?->text(500), $node->get('code')?->text(100), $node->get('text')?->text(2000)]
            : [null, null, null];

        return $read[0] === null || $read[1] === null || $read[2] === null ? null : [
            'path' => $read[0],
            'code' => $read[1],
            'text' => $read[2],
        ];
    }

    /** @return ?PrintEntry */
    private static function print(Node $node, int $revisions): ?array
    {
        if (! $node->isObject(['id', 'client_id', 'revision', 'what', 'pieces', 'at'])) {
            return null;
        }
        $entry = [
            'id' => self::matching($node->get('id'), self::ULID, 'an id of 26 letters and figures'),
            'client_id' => self::matching($node->get('client_id'), self::UUID, 'an id of 36 letters and figures'),
            'revision' => $node->get('revision')?->whole(1, max(1, $revisions)), 'what' => self::words($node->get('what'), 200),
            'pieces' => $node->get('pieces')?->whole(0, 1_000_000), 'at' => self::moment($node->get('at')),
        ];

        /** @var ?PrintEntry */
        return in_array(null, $entry, true) ? null : $entry;
    }

    /**
     * @param  array<string, true>  $prints  by id
     * @return ?PieceEntry
     */
    private static function piece(Node $node, array $prints, int $revisions): ?array
    {
        if (! $node->isObject(['part', 'copy', 'state', 'print', 'record'], ['revision', 'kept'])) {
            return null;
        }
        $print = self::orNull($node->get('print'), static fn (Node $n): ?string => $n->text(26));
        if (is_string($print) && ! isset($prints[$print])) {
            $node->get('print')?->fault('wrong-choice', ['given' => $print, 'known' => 'the prints of this building']);
        }
        $kept = self::orNull($node->get('kept'), static fn (Node $n): array => array_map(
            // An empty text is read as none.
            static fn (Node $k): ?string => $k->value === null ? '' : $k->text(100),
            $n->items(2, 2),
        ));
        $entry = [
            'part' => self::words($node->get('part'), 200), 'copy' => $node->get('copy')?->whole(0, 5000),
            'state' => $node->get('state')?->choice(MadePiece::STATES), 'record' => self::record($node->get('record')),
        ];

        /** @var ?PieceEntry */
        return in_array(null, $entry, true) ? null : $entry + [
            'print' => $print, 'kept' => $kept === [] ? null : $kept,
            'revision' => self::orNull($node->get('revision'), static fn (Node $n): ?int => $n->whole(1, max(1, $revisions))),
        ];
    }

    /** @return ?array<string, mixed> */
    private static function record(?Node $node): ?array
    {
        try {
            $record = json_decode(json_encode($node?->value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true);

            return PartRecord::read(is_array($record) ? $record : [])->kept();
        } catch (JsonException) {
            $node?->fault('number.infinite');
        } catch (UnexpectedValueException $e) {
            $node?->fault('archive.field', ['what' => $e->getMessage()]);
        }

        return null;
    }
}
