<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Field\Node;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use stdClass;

/** What screens do to the storeys of a block: one more, those of another block, eaves that come out in courses over them. */
final readonly class StoreyEdit
{
    public const OPS = ['add-storey', 'share-storeys', 'eaves-to-storeys'];

    private const STOREYS = ['ground', 'first', 'second', 'third', 'fourth'];

    /** @param  list<stdClass>  $blocks  of the document */
    public function __construct(private Ruler $ruler, private array $blocks, private Node $edit)
    {
    }

    public function apply(string $op, ?stdClass $block): void
    {
        match (true) {
            $block === null => null,
            $op === 'add-storey' => $this->add($block),
            $op === 'share-storeys' => $this->share($block),
            default => $this->eaves($block),
        };
    }

    /** On top of the last, as high as that is. */
    private function add(stdClass $block): void
    {
        $this->edit->isObject(['op', 'block']);
        $block = $this->owner($block);
        $storeys = Ruler::listed($block->storeys ?? null);
        $last = $storeys === [] ? (object) ['floor' => $block->base ?? null] : $storeys[count($storeys) - 1];
        $height = is_string($last->height ?? null) ? $last->height : '10ft';
        $floor = $this->ruler->read($last->floor ?? null) + ($storeys === [] ? 0.0 : $this->ruler->read($height));
        $name = self::STOREYS[count($storeys)] ?? 'storey '.count($storeys);
        $block->storeys = [...$storeys, (object) [
            'id' => WallEntry::freeId('s', $storeys), 'name' => $name, 'floor' => LengthFormat::like($height, $floor), 'height' => $height,
        ]];
    }

    /** The block whose storeys one has: its own, or another's. */
    private function owner(stdClass $block): stdClass
    {
        foreach ($this->blocks as $i => $other) {
            if (($other->id ?? 'block-'.($i + 1)) === ($block->storeys_of ?? null)) {
                return $other;
            }
        }

        return $block;
    }

    /** With another block, or again its own: as they are now. */
    private function share(stdClass $block): void
    {
        $this->edit->isObject(['op', 'block'], ['with']);
        $with = $this->edit->get('with')?->text(32);
        if ($with !== null) {
            unset($block->storeys);
            $block->storeys_of = $with;
        } elseif (isset($block->storeys_of)) {
            self::own($block, $this->owner($block));
        }
    }

    public static function own(stdClass $block, stdClass $owner): void
    {
        unset($block->storeys_of);
        $block->storeys = array_map(static fn (stdClass $s): stdClass => clone $s, Ruler::listed($owner->storeys ?? null));
    }

    /** To the first bed joint at or over the top of the topmost storey. */
    private function eaves(stdClass $block): void
    {
        $this->edit->isObject(['op', 'block']);
        $top = null;
        foreach (Ruler::listed($this->owner($block)->storeys ?? null) as $storey) {
            $top = max($top ?? -INF, $this->ruler->read($storey->floor ?? null) + $this->ruler->read($storey->height ?? null));
        }
        if ($top === null) {
            return;
        }
        $course = $this->ruler->gauge->course_mm;
        $like = is_string($block->eaves ?? null) ? $block->eaves : '0ft';
        $block->eaves = LengthFormat::like($like, ceil($top / $course - Tolerance::ROUNDING) * $course);
    }
}
