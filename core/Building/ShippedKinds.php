<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use stdClass;

/** Kinds of openings to begin with, as documents say them: usual ones, to be made one's own. docs/formulas.md#usual-sizes */
final readonly class ShippedKinds
{
    private const FINE = ['stile' => '3in', 'bar' => '1in'];

    private const KINDS = [
        'sash' => ['Sash, four panes', 'window', '3ft', '5ft', [
            'frame' => ['panes' => [2, 2], 'sash' => true, 'bars' => 'widened'] + self::FINE,
        ]],
        'sash-small-panes' => ['Sash, small panes', 'window', '3ft 3in', '5ft 9in', [
            'frame' => ['panes' => [3, 4], 'sash' => true, 'bars' => 'printed'] + self::FINE,
        ]],
        'sash-raised' => ['Sash, pushed up', 'window', '3ft', '5ft 6in', [
            'frame' => ['panes' => [2, 2], 'sash' => true, 'deep' => true, 'stile' => '6in', 'bar' => '3in', 'raised' => '9in'],
        ]],
        'casements' => ['Casements', 'window', '4ft 6in', '3ft 9in', [
            'frame' => ['lights' => 2, 'panes' => [1, 2], 'opens' => true, 'bars' => 'widened', 'mullion' => '4in'] + self::FINE,
        ]],
        'casement-ajar' => ['Casements, one ajar', 'window', '4ft 6in', '4ft', [
            'frame' => ['lights' => 2, 'opens' => true, 'mullion' => '4in', 'ajar' => 30, 'ajar_light' => 2] + self::FINE,
        ]],
        'leaded' => ['Leaded lights', 'window', '4ft 6in', '3ft', [
            'frame' => ['lights' => 2, 'mullion' => '5in'] + self::FINE, 'glass' => ['leading' => 'lozenges'],
        ]],
        'works' => ['Works window, iron bars', 'window', '5ft 3in', '6ft 9in', [
            'head' => ['shape' => 'segmental', 'rise' => '7in'],
            'frame' => ['panes' => [5, 6], 'bars' => 'printed'] + self::FINE,
        ]],
        'stair-light' => ['Stair light, round head', 'window', '2ft 9in', '7ft', [
            'head' => ['shape' => 'round'], 'frame' => ['panes' => [2, 4], 'bars' => 'printed'] + self::FINE,
        ]],
        'round-light' => ['Round light', 'window', '3ft', '3ft', [
            'head' => ['shape' => 'circle'], 'frame' => ['panes' => [2, 2], 'bars' => 'widened'] + self::FINE,
        ]],
        'lancet' => ['Lancet', 'window', '1ft 9in', '6ft 6in', [
            'head' => ['shape' => 'pointed', 'rise' => '1ft 9in'], 'frame' => self::FINE, 'glass' => ['leading' => 'squares'],
        ]],
        'three-lights' => ['Three lights, pointed head', 'window', '6ft 6in', '9ft', [
            'head' => ['shape' => 'pointed'], 'glass' => ['leading' => 'lozenges'],
            'frame' => ['lights' => 3, 'mullion' => '5in', 'transom' => '4ft 3in', 'stile' => '4in'],
        ]],
        'tracery' => ['Tracery over two lights', 'window', '5ft 6in', '9ft', [
            'head' => ['shape' => 'pointed'], 'glass' => ['leading' => 'squares'],
            'frame' => ['lights' => 2, 'mullion' => '5in', 'stile' => '4in', 'tracery' => ['foils' => 4]],
        ]],
        'shop-front' => ['Shop front', 'window', '9ft 6in', '8ft 3in', [
            'frame' => ['lights' => 3, 'mullion' => '4in', 'transom' => '6ft 3in', 'riser' => '1ft 9in', 'stile' => '4in'],
        ]],
        'frosted' => ['Small window, frosted', 'window', '2ft', '2ft 6in', ['frame' => self::FINE, 'glass' => ['look' => 'frosted']]],
        'louvres' => ['Louvres', 'window', '3ft 6in', '3ft', ['leaf' => ['kind' => 'louvred', 'rail' => '3in', 'board' => '4in']]],
        'bricked-up' => ['Bricked up', 'window', '3ft', '5ft', [
            'head' => ['shape' => 'segmental', 'rise' => '4in'], 'blind' => [],
        ]],
        'plank-door' => ['Plank door', 'door', '3ft', '6ft 9in', ['leaf' => ['handle' => 'ring']]],
        'front-door' => ['Front door, six panels', 'door', '3ft 3in', '7ft', [
            'leaf' => ['kind' => 'panelled', 'panels' => [2, 3], 'rail' => '4 1/2in', 'handle' => 'knob', 'letters' => true],
        ]],
        'double-door' => ['Double door, panelled', 'door', '5ft 3in', '8ft', [
            'leaf' => ['kind' => 'panelled', 'panels' => [1, 3], 'rail' => '4 1/2in', 'double' => true, 'handle' => 'knob'],
        ]],
        'shop-door' => ['Shop door, half glazed', 'door', '3ft 3in', '7ft', [
            'leaf' => ['kind' => 'panelled', 'panels' => [2, 1], 'glazed' => '3ft', 'handle' => 'lever', 'letters' => true],
        ]],
        'stable-door' => ['Stable door', 'door', '3ft 9in', '7ft 3in', ['leaf' => ['split' => '4ft', 'handle' => 'ring']]],
        'hung-door' => ['Plank door on hinges, ajar', 'door', '3ft 9in', '7ft 3in', [
            'leaf' => ['handle' => 'ring', 'hinges' => ['post' => '4in'], 'open' => 30],
        ]],
        'barn-doors' => ['Barn doors, braced', 'door', '9ft', '10ft', [
            'leaf' => ['kind' => 'braced', 'rail' => '6in', 'board' => '7in', 'double' => true],
        ]],
        'roller-shutter' => ['Roller shutter', 'door', '9ft', '9ft', ['leaf' => ['kind' => 'roller', 'board' => '4in']]],
    ];

    /** @return array<string, array{name: string, kind: string}> by key */
    public static function all(): array
    {
        return array_map(static fn (array $one): array => ['name' => $one[0], 'kind' => $one[1]], self::KINDS);
    }

    /** As a document says it; null where there is none of that key. */
    public static function find(string $key): ?stdClass
    {
        if (! array_key_exists($key, self::KINDS)) {
            return null;
        }
        [$name, $kind, $w, $h, $more] = self::KINDS[$key];
        $said = ['name' => $name, 'kind' => $kind, 'w' => $w, 'h' => $h] + $more + ['head' => ['shape' => 'flat']];
        // An empty list is an object here.
        $object = json_decode((string) json_encode($said, JSON_THROW_ON_ERROR), false, 512, JSON_THROW_ON_ERROR);
        assert($object instanceof stdClass);
        if (isset($object->blind)) {
            $object->blind = new stdClass;
        }

        return $object;
    }
}
