<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\Compare;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\KitShape;

/**
 * What has to be known of a part to say later whether it is still the same: read from a serialised kit, or from what was
 * kept of one when it was printed. Lengths in millimetres, the part's own frame.
 */
final readonly class PartRecord
{
    /**
     * @param  list<Ring>  $holes
     * @param  list<array{Vec2, Vec2}>  $scores
     */
    private function __construct(
        public string $id,
        public string $label,
        public string $name,
        public string $group,
        public string $stock,
        public float $thickness,
        public int $qty,
        public string $cut,
        public string $print,
        public Ring $outline,
        public array $holes,
        public array $scores,
        public ?PrintedPlace $place = null,
    ) {
    }

    /** @param  array<array-key, mixed>  $part  an entry of a kit's parts, or what kept() gave */
    public static function read(array $part): self
    {
        $shape = new KitShape($part);

        return new self(
            $shape->text('id'), $shape->text('label'), $shape->text('name'), $shape->text('group'),
            $shape->text('stock'), $shape->number('thickness'),
            $shape->whole('qty'), $shape->text('cut'), $shape->text('print'), $shape->ring('outline'), $shape->rings('holes'),
            array_map(static function (KitShape $score): array {
                $line = $score->children('line');

                return [$line[0]->asVec2(), $line[1]->asVec2()];
            }, $shape->children('scores')),
            $shape->has('place') ? PrintedPlace::read($shape->child('place')) : null,
        );
    }

    /**
     * The parts of a serialised kit.
     *
     * @param  array<string, mixed>  $kit
     * @return array<string, self> by id
     */
    public static function ofKit(array $kit): array
    {
        $records = [];
        foreach ((new KitShape($kit))->children('parts') as $part) {
            $record = self::read($part->values);
            $records[$record->id] = $record;
        }

        return $records;
    }

    /** @return array<string, mixed> what is kept of it */
    public function kept(): array
    {
        return [
            'id' => $this->id, 'label' => $this->label, 'name' => $this->name, 'group' => $this->group,
            'stock' => $this->stock, 'thickness' => $this->thickness, 'qty' => $this->qty,
            'cut' => $this->cut, 'print' => $this->print, 'outline' => $this->outline->toArray(),
            'holes' => array_map(static fn (Ring $r): array => $r->toArray(), $this->holes),
            'scores' => array_map(static fn (array $s): array => ['line' => [$s[0]->toArray(), $s[1]->toArray()]], $this->scores),
        ] + ($this->place === null ? [] : ['place' => $this->place->toArray()]);
    }
}
