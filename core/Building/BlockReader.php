<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;

/** Reads `blocks`. */
final readonly class BlockReader
{
    private const OF_WALLS = ['finish', 'paper', 'palette', 'treat', 'stack', 'openings', 'rows', 'keep', 'ground', 'built'];

    public const MOST_BLOCKS = 64;

    private FieldSet $openings;

    private RoofReader $roofs;

    /** Where a block's eaves cannot be read it is drawn so high. */
    private const USUAL_EAVES_MM = 3048.0;

    /**
     * @param  array<string, Style>  $styles
     * @param  list<string>  $stacks  the names of the stacks
     */
    public function __construct(
        private Values $values,
        private array $styles,
        private array $stacks,
        private StandIns $standIns,
        private Kinds $kinds,
    ) {
        $this->openings = OpeningFields::set($kinds);
        $this->roofs = new RoofReader($values);
    }

    /** @return list<Block> those that can be drawn */
    public function readAll(?Node $node): array
    {
        $blocks = [];
        $places = [];
        $ids = [];
        $storeys = $this->allStoreys($node);
        foreach ($node?->items(self::MOST_BLOCKS, 1) ?? [] as $i => $item) {
            $block = $this->read($item, $i, $storeys);
            if ($block === null) {
                continue;
            }
            if (isset($ids[$block->id])) {
                ($item->get('id') ?? $item)->fault('id-twice', ['given' => $block->id]);
            }
            $ids[$block->id] = true;
            $blocks[] = $block;
            if ($item->get('place') !== null && ! $item->get('place')->isEmpty()) {
                $places[$block->id] = $item->get('place');
            }
        }

        return Placing::resolve($blocks, $places, $this->values);
    }

    /** @param  array<string, list<Storey>>  $known  those that blocks have of their own, by the block's id */
    private function read(Node $node, int $index, array $known): ?Block
    {
        if (
            ! $node->isObject(
                ['footprint', 'eaves', 'roof'],
                ['id', 'name', 'at', 'turn', 'place', 'base', 'plinth', 'storeys', 'storeys_of', 'corners', 'walls', 'stack', 'features'],
            )
        ) {
            return null;
        }
        $id = $node->get('id') === null ? 'block-'.($index + 1) : $this->values->id($node->get('id'));
        $name = $node->get('name')?->text(200) ?? ucfirst($id ?? 'block');
        $footprint = (new FootprintReader($this->values))->read($node->get('footprint'));
        $at = array_map(fn (Node $n): ?RealLength => $this->values->real($n, Sign::Any), $node->get('at')?->items(2, 2) ?? []);
        if ($node->get('at') !== null && $node->get('place') !== null && ! $node->get('place')->isEmpty()) {
            $node->get('place')->fault('place.and-at');
        }
        $turn = $node->get('turn') === null ? 0.0 : $node->get('turn')->number();
        $base = $node->get('base') === null ? RealLength::ofMillimetres(0.0) : $this->values->real($node->get('base'), Sign::Any);
        $eaves = $this->values->real($node->get('eaves'));
        if ($base !== null && $eaves !== null && $eaves->mm <= $base->mm) {
            $node->get('eaves')?->fault('length.too-short', ['given' => $eaves->text ?? '', 'least' => 'above the base']);
        }
        $plinth = $this->values->real($node->get('plinth'), Sign::Any);
        if ($plinth !== null && $base !== null && $eaves !== null && ($plinth->mm <= $base->mm || $plinth->mm >= $eaves->mm)) {
            $node->get('plinth')?->fault(
                'plinth.off-wall',
                ['given' => $plinth->text ?? '', 'base' => $base->text ?? '0', 'eaves' => $eaves->text ?? ''],
            );
        }
        $storeys = self::storeysOf($node, $id ?? '', $known);
        $corners = $this->corners($node->get('corners'), $footprint);
        $walls = $this->walls($node->get('walls'), $node->path, $footprint->edges ?? FootprintReader::namesOf($node->get('footprint')),
            new WallReader($this->values, $this->styles, $this->stacks, $footprint, $storeys, $base->mm ?? 0.0,
                WallReader::known($node->get('stack'), $this->stacks) ?? 'wall', $this->kinds, $this->openings));
        $roof = $this->roofs->read($node->get('roof'), $footprint);
        $features = (new FeatureReader($this->values, $this->kinds))->ofBlock($node->get('features'), $footprint, $walls, $storeys);
        $drawn = $footprint ?? $this->standIns->footprint($node->get('footprint'));
        $ground = $base ?? RealLength::ofMillimetres(0.0);

        return $drawn === null ? null : new Block(
            $id ?? 'block-'.($index + 1),
            $name,
            $drawn,
            new Vec2($at[0]->mm ?? 0.0, $at[1]->mm ?? 0.0),
            $turn ?? 0.0,
            $ground,
            $eaves !== null && $eaves->mm > $ground->mm ? $eaves : RealLength::ofMillimetres($ground->mm + self::USUAL_EAVES_MM),
            $walls,
            $roof ?? $this->standIns->roof($drawn),
            $corners,
            $storeys,
            $plinth,
            $node->path,
            features: $features,
        );
    }

    /** @return array<string, list<Storey>> that blocks have of their own, by the block's id */
    private function allStoreys(?Node $blocks): array
    {
        $storeys = [];
        foreach ($blocks?->items(self::MOST_BLOCKS) ?? [] as $i => $block) {
            $id = $block->get('id')->value ?? 'block-'.($i + 1);
            if (is_string($id) && $block->get('storeys') !== null) {
                $storeys[$id] = $this->storeys($block->get('storeys'));
            }
        }

        return $storeys;
    }

    /**
     * Its own, or those of the block whose storeys it shares.
     *
     * @param  array<string, list<Storey>>  $known
     * @return list<Storey>
     */
    private static function storeysOf(Node $block, string $id, array $known): array
    {
        $shared = $block->get('storeys_of')?->text(32);
        if ($shared === null) {
            return $known[$id] ?? [];
        }
        if ($block->get('storeys') !== null) {
            $block->get('storeys_of')->fault('storeys.twice');
        } elseif (! isset($known[$shared])) {
            $block->get('storeys_of')->fault('storeys.of-none', ['given' => $shared]);
        }

        return $known[$shared] ?? [];
    }

    /** @return list<Storey> */
    private function storeys(?Node $node): array
    {
        $storeys = [];
        foreach ($node?->items(50) ?? [] as $storey) {
            if ($storey->isObject(['id', 'floor', 'height'], ['name'])) {
                $id = $this->values->id($storey->get('id'));
                $floor = $this->values->real($storey->get('floor'), Sign::Any);
                $height = $this->values->real($storey->get('height'));
                if ($id !== null && $floor !== null && $height !== null) {
                    $storeys[] = new Storey($id, $storey->get('name')?->text(60) ?? $id, $floor, $height);
                }
            }
        }

        return $storeys;
    }

    /** @return array<int, Corner> */
    private function corners(?Node $node, ?Footprint $footprint): array
    {
        $corners = [];
        foreach ($node?->items(FootprintReader::MOST_CORNERS) ?? [] as $item) {
            $item->isObject(['vertex'], ['method', 'through', 'name']);
            $vertex = $item->get('vertex')?->whole(0, ($footprint?->count() ?? 4) - 1);
            $method = CornerMethod::tryFrom($item->get('method')?->choice(CornerMethod::made()) ?? '');
            $through = $item->get('through')?->choice(['before', 'after']);
            if ($vertex !== null) {
                $corners[$vertex] = new Corner($method, $through, $item->get('name')?->text(60), $item->path);
            }
        }

        return $corners;
    }

    /**
     * @param  list<string>  $edges  names of the footprint's edges
     * @return list<Wall>
     */
    private function walls(?Node $node, string $blockPath, array $edges, WallReader $reader): array
    {
        /** @var array<int, Wall> $found */
        $found = [];
        foreach ($node?->items(count($edges)) ?? [] as $item) {
            if (! $item->isObject(['edge'], self::OF_WALLS)) {
                continue;
            }
            $edge = EdgeName::read($item->get('edge'), $edges);
            if ($edge === null) {
                continue;
            }
            if (isset($found[$edge])) {
                $item->get('edge')?->fault('edge-twice', ['given' => $edges[$edge]]);
            }
            $found[$edge] = $reader->read($item, $edge, $edges[$edge]);
        }
        $walls = [];
        foreach ($edges as $edge => $name) {
            $walls[] = $found[$edge]
                ?? new Wall($edge, $name, Finish::Bare, Treatment::Full, $reader->stack, [], null, $blockPath.'.walls');
        }

        return $walls;
    }
}
