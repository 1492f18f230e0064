<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Difference;

use Chartula\Core\Building\Finish;
use stdClass;

/** A practitioner's names for the fields of a document, and for what stands in them. */
final readonly class Words
{
    /** Gives words for fields whose key a person would not use. */
    private const FIELDS = [
        'w' => 'width', 'h' => 'height', 'rect.0' => 'width', 'rect.1' => 'depth', 'panes.0' => 'columns of panes',
        'panes.1' => 'rows of panes',
        'at.0' => 'place across', 'at.1' => 'place back', 'sheet.0' => 'sheet width', 'sheet.1' => 'sheet height',
        'through' => 'walls that run through', 'built' => 'as built', 'as' => 'made',
        'on.over' => 'centred on', 'on.from' => 'place along', 'on.to' => 'far end', 'on.in' => 'place in from the wall',
        'on.up' => 'foot above base', 'on.up_to' => 'head above base', 'on.edge' => 'wall', 'on.anchor' => 'where it is',
        'roof.finish' => 'covering of the roof', 'finish' => 'covering', 'roof.paper' => 'paper of the roof', 'palette' => 'colours',
        'roof.palette' => 'colours of the roof', 'roof.laid' => 'slates and tiles laid', 'roof.valleys' => 'valleys',
        'roof.row' => 'rows apart', 'roof.unit' => 'width of each slate or tile', 'roof.ridge_colour' => 'ridge and hip tiles',
        'skin.soot' => 'soot under the eaves', 'skin.damp' => 'damp at the foot', 'burnt' => 'burnt headers', 'diaper' => 'lozenges',
        'skin.bond' => 'bricks beside openings', 'thin_edge' => 'thin edge of roofs',
        'lining' => 'covering of its sides', 'lining_colour' => 'colour of its sides',
        'mm_per_pixel.0' => 'mm a pixel across', 'mm_per_pixel.1' => 'mm a pixel up', 'sha256' => 'picture', 'lies' => 'laid',
        'courses' => 'courses counted', 'up' => 'measure of those courses', 'units' => 'bricks counted',
        'along' => 'measure of those bricks', 'foot' => 'first course above the foot', 'tone' => 'tone as a whole',
        'glass.up' => 'leads apart, up', 'glass.across' => 'leads apart, across', 'glass.look' => 'look of its glass',
        'glass.leading' => 'leading', 'frame.riser' => 'solid up to', 'frame.opens' => 'casements',
        'frame.bars' => 'what becomes of its bars',
        'tracery.bar' => 'width round its circles', 'tracery.foils' => 'foils of its circles', 'tracery.heads' => 'heads of its lights',
        'leaf.open' => 'degrees it stands open', 'leaf.slides' => 'way it slides', 'leaf.slid' => 'share it is open',
        'leaf.glazed' => 'glazed from', 'leaf.split' => 'parted at', 'leaf.hinge' => 'side it hangs on', 'leaf.letters' => 'letter plate',
        'blind' => 'filling up', 'blind.of' => 'what it is filled up with', 'bought' => 'fitting that is bought',
        'bought.w' => 'width of what is bought', 'bought.h' => 'height of what is bought', 'bought.depth' => 'depth of what is bought',
        'storeys_of' => 'whose storeys it has', 'frame.raised' => 'how far its sash is pushed up',
        'frame.ajar' => 'degrees a casement stands ajar', 'frame.ajar_light' => 'casement that stands ajar', 'leaf.hinges' => 'hinges',
        'hinges.post' => 'frame of a hung door',
        'hinges.count' => 'hinges of a leaf', 'hinges.pin' => 'pins of hinges', 'held' => 'what holds it',
        'trim' => 'small parts', 'trim.held' => 'how frames are held',
        'on.line' => 'line of the roof', 'on.turn' => 'turned by',
    ];

    /** What was measured of a wall or a panel. */
    private const BUILT = ['apex' => 'height to the peak', 'up' => 'panel up to the ridge', 'along' => 'panel along the eaves'];

    /** Lists steps of a path that a person would not name. */
    private const SILENT = ['blocks', 'walls', 'openings', 'styles', 'footprint', 'frame', 'head', 'methods', 'sheets', 'gauge', 'roof'];

    private const LONGEST = 60;

    /** @param  list<string>  $keys  of the field, below the thing it belongs to */
    public static function field(array $keys): string
    {
        $keys = array_map(static fn (string $key): string => ltrim($key, Identity::MARK), $keys);
        $built = array_search('built', $keys, true);
        if ($built !== false && isset($keys[$built + 1])) {
            $said = self::BUILT[$keys[$built + 1]] ?? self::FIELDS[$keys[$built + 1]] ?? $keys[$built + 1];

            return $said.' as built'.match ($keys[$built + 2] ?? 'measured') {
                'measured' => '', 'reason' => ', and why,', default => ', and when,'
            };
        }
        $last = implode('.', array_slice($keys, -2));
        if (isset(self::FIELDS[$last])) {
            return self::FIELDS[$last];
        }
        $said = array_filter(
            $keys,
            static fn (string $key, int $i): bool => $i === count($keys) - 1 || ! in_array($key, self::SILENT, true),
            ARRAY_FILTER_USE_BOTH,
        );
        $said[array_key_last($said) ?? 0] = self::FIELDS[(string) end($said)] ?? (string) end($said);

        return str_replace('-', ' ', implode(' ', $said));
    }

    /** @param  list<string>  $keys */
    public static function change(array $keys, mixed $before, mixed $after): string
    {
        $field = self::field($keys);
        if ($before === null) {
            if ($after instanceof stdClass && isset($after->measured)) {
                return "$field ".self::value($after->measured);
            }

            return $after instanceof stdClass || is_array($after) ? "$field added" : "$field ".self::said($keys, $after);
        }
        if ($after === null) {
            return "$field taken out";
        }
        if (! is_scalar($before) || ! is_scalar($after)) {
            return "$field changed";
        }

        // An opening's `from` already says what it is.
        return ($field === 'from' ? '' : "$field ").'from '.self::said($keys, $before).' to '.self::said($keys, $after);
    }

    /**
     * A value as a person would name it.
     *
     * @param  list<string>  $keys
     */
    private static function said(array $keys, mixed $value): string
    {
        $finish = end($keys) === 'finish' && is_string($value) ? Finish::tryFrom($value) : null;

        return $finish?->words() ?? self::value($value);
    }

    public static function value(mixed $value): string
    {
        $text = is_bool($value) ? ($value ? 'yes' : 'no') : (is_scalar($value) ? (string) $value : '…');

        return mb_strlen($text) > self::LONGEST ? mb_substr($text, 0, self::LONGEST).'…' : $text;
    }
}
