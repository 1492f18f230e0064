<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\RealLength;

/** Reads `blocks`; for now one block on a rectangle. */
final readonly class BlockReader
{
    public const MOST_BLOCKS = 64;

    public const MOST_OPENINGS = 200;

    public const STEEPEST_DEG = 80.0;

    private const MOST_REPEATS = 200;

    /**
     * @param  array<string, Style>  $styles
     * @param  list<string>  $stacks  the names of the stacks
     */
    public function __construct(
        private Values $values,
        private array $styles,
        private array $stacks,
    ) {
    }

    public function readOnly(?Node $node): ?Block
    {
        $blocks = $node?->items(self::MOST_BLOCKS, 1) ?? [];
        if (count($blocks) > 1) {
            $blocks[1]->fault('not-made-yet', ['given' => 'a second block', 'instead' => 'describe one block for now']);
        }

        return isset($blocks[0]) ? $this->read($blocks[0]) : null;
    }

    private function read(Node $node): ?Block
    {
        if (! $node->isObject(['footprint', 'eaves', 'roof'], ['id', 'name', 'at', 'turn', 'place', 'base', 'storeys', 'corners', 'walls'])) {
            return null;
        }
        $id = $node->get('id') === null ? 'block-1' : $this->values->id($node->get('id'));
        $name = $node->get('name')?->text(200) ?? ucfirst($id ?? 'block');
        [$width, $depth] = $this->footprint($node->get('footprint'));
        $at = array_map(fn (Node $n): ?RealLength => $this->values->real($n, Sign::Any), $node->get('at')?->items(2, 2) ?? []);
        $turn = $node->get('turn') === null ? 0.0 : $node->get('turn')->number();
        $base = $node->get('base') === null ? RealLength::ofMillimetres(0.0) : $this->values->real($node->get('base'), Sign::Any);
        $eaves = $this->values->real($node->get('eaves'));
        if ($base !== null && $eaves !== null && $eaves->mm <= $base->mm) {
            $node->get('eaves')?->fault('length.too-short', ['given' => $eaves->text ?? '', 'least' => 'above the base']);
        }
        foreach (['place', 'corners'] as $later) {
            if ($node->get($later) !== null && ! $node->get($later)->isEmpty()) {
                $node->get($later)->fault('not-made-yet', ['given' => $later, 'instead' => 'leave it out for now']);
            }
        }
        $this->storeys($node->get('storeys'));
        $walls = $this->walls($node->get('walls'), $node->path);
        $roof = $this->roof($node->get('roof'), $width, $depth);
        if ($id === null || $width === null || $depth === null || $turn === null || $base === null || $eaves === null || $roof === null) {
            return null;
        }
        $zero = RealLength::ofMillimetres(0.0);

        return new Block($id, $name, $width, $depth, $at[0] ?? $zero, $at[1] ?? $zero, $turn, $base, $eaves, $walls, $roof, $node->path);
    }

    /** @return array{?RealLength, ?RealLength} */
    private function footprint(?Node $node): array
    {
        if ($node === null || ! $node->isObject([], ['rect', 'polygon', 'edges'])) {
            return [null, null];
        }
        if ($node->get('polygon') !== null) {
            $node->get('polygon')->fault('not-made-yet', ['given' => 'polygon', 'instead' => 'give “rect” for now']);

            return [null, null];
        }
        if ($node->get('rect') === null) {
            $node->missing('rect');
        }
        $sides = array_map(fn (Node $n): ?RealLength => $this->values->real($n), $node->get('rect')?->items(2, 2) ?? []);

        return [$sides[0] ?? null, $sides[1] ?? null];
    }

    private function storeys(?Node $node): void
    {
        foreach ($node?->items(50) ?? [] as $storey) {
            if ($storey->isObject(['id', 'floor', 'height'])) {
                $this->values->id($storey->get('id'));
                $this->values->real($storey->get('floor'), Sign::Any);
                $this->values->real($storey->get('height'));
            }
        }
    }

    /** @return list<Wall> */
    private function walls(?Node $node, string $blockPath): array
    {
        /** @var array<int, Wall> $found */
        $found = [];
        foreach ($node?->items(count(Block::EDGES)) ?? [] as $item) {
            if (! $item->isObject(['edge'], ['finish', 'treat', 'stack', 'openings'])) {
                continue;
            }
            $edge = $this->edge($item->get('edge'));
            if ($edge === null) {
                continue;
            }
            if (isset($found[$edge])) {
                $item->get('edge')?->fault('edge-twice', ['given' => Block::EDGES[$edge]]);
            }
            $found[$edge] = $this->wall($item, $edge);
        }
        $walls = [];
        foreach (Block::EDGES as $edge => $name) {
            $walls[] = $found[$edge] ?? new Wall($edge, $name, Finish::BARE, 'full', 'wall', [], $blockPath.'.walls');
        }

        return $walls;
    }

    private function edge(?Node $node): ?int
    {
        if ($node === null) {
            return null;
        }
        if (is_int($node->value)) {
            return $node->whole(0, count(Block::EDGES) - 1);
        }
        $name = $node->text(100);
        $edge = array_search($name, Block::EDGES, true);
        if ($name !== null && $edge === false) {
            $node->fault('unknown-edge', ['given' => $name, 'known' => implode(', ', Block::EDGES)]);
        }

        return $edge === false ? null : $edge;
    }

    private function wall(Node $node, int $edge): Wall
    {
        $finish = $node->get('finish') === null ? Finish::BARE : $node->get('finish')->choice(Finish::ALL);
        $treat = $node->get('treat') === null ? 'full' : $node->get('treat')->choice(['full', 'plain', 'omit']);
        if ($treat === 'omit') {
            $node->get('treat')?->fault('not-made-yet', ['given' => 'omit', 'instead' => 'use “plain” for now']);
        }
        $stack = $node->get('stack') === null ? 'wall' : $node->get('stack')->text(100);
        if ($stack !== null && ! in_array($stack, $this->stacks, true)) {
            $node->get('stack')?->fault('unknown-stack', ['given' => $stack, 'known' => implode(', ', $this->stacks)]);
        }
        $openings = [];
        $ids = [];
        foreach ($node->get('openings')?->items(self::MOST_OPENINGS) ?? [] as $i => $item) {
            $opening = $this->opening($item, $i);
            if ($opening === null) {
                continue;
            }
            if (isset($ids[$opening->id])) {
                ($item->get('id') ?? $item)->fault('id-twice', ['given' => $opening->id]);
            }
            $ids[$opening->id] = true;
            $openings[] = $opening;
        }

        return new Wall($edge, Block::EDGES[$edge], $finish ?? Finish::BARE, $treat ?? 'full', $stack ?? 'wall', $openings, $node->path);
    }

    private function opening(Node $node, int $index): ?Opening
    {
        if (! $node->isObject(['style', 'from', 'sill'], ['id', 'repeat'])) {
            return null;
        }
        $id = $node->get('id') === null ? 'o'.($index + 1) : $this->values->id($node->get('id'));
        $styleId = $node->get('style')?->text(100);
        if ($styleId !== null && ! isset($this->styles[$styleId])) {
            $node->get('style')?->fault('unknown-style', ['given' => $styleId, 'known' => implode(', ', array_keys($this->styles))]);
        }
        $from = $this->values->real($node->get('from'), Sign::ZeroOrMore);
        $sill = $this->values->real($node->get('sill'), Sign::ZeroOrMore);
        $count = 1;
        $pitch = null;
        $repeat = $node->get('repeat');
        if ($repeat !== null && $repeat->isObject(['count', 'pitch'])) {
            $count = $repeat->get('count')?->whole(1, self::MOST_REPEATS) ?? 1;
            $pitch = $this->values->real($repeat->get('pitch'));
        }
        $style = $styleId === null ? null : ($this->styles[$styleId] ?? null);

        return $id === null || $style === null || $from === null || $sill === null ? null
            : new Opening($id, $style, $from, $sill, $count, $pitch, $node->path);
    }

    private function roof(?Node $node, ?RealLength $width, ?RealLength $depth): ?Roof
    {
        if ($node === null || ! $node->isObject(['kind'], ['ridge', 'pitch', 'rise', 'edges', 'overhang', 'finish'])) {
            return null;
        }
        $kind = $node->get('kind')?->choice(['gable', 'hip', 'half-hip', 'lean-to', 'flat', 'mansard', 'none']);
        if ($kind !== null && $kind !== 'gable') {
            $node->get('kind')?->fault('not-made-yet', ['given' => $kind, 'instead' => 'use “gable” for now']);
        }
        if ($node->get('edges') !== null && ! $node->get('edges')->isEmpty()) {
            $node->get('edges')->fault('not-made-yet', ['given' => 'edges', 'instead' => 'leave them out for now']);
        }
        $ridge = $node->get('ridge') === null ? 'x' : $node->get('ridge')->choice(['x', 'y']);
        [$pitch, $rise] = $this->pitch($node, $ridge === 'y' ? $width : $depth);
        $overhang = $node->get('overhang');
        $overhang?->isObject([], ['eaves', 'verge']);
        $zero = RealLength::ofMillimetres(0.0);
        $eaves = $this->values->real($overhang?->get('eaves'), Sign::ZeroOrMore) ?? $zero;
        $verge = $this->values->real($overhang?->get('verge'), Sign::ZeroOrMore) ?? $zero;
        $finish = $node->get('finish') === null ? Finish::BARE : $node->get('finish')->choice(Finish::ALL);

        return $ridge === null || $pitch === null || $finish === null ? null : new Roof($ridge, $pitch, $rise, $eaves, $verge, $finish, $node->path);
    }

    /** @return array{?Angle, ?RealLength} */
    private function pitch(Node $roof, ?RealLength $span): array
    {
        $pitchNode = $roof->get('pitch');
        $riseNode = $roof->get('rise');
        if ($pitchNode !== null && $riseNode !== null) {
            $riseNode->fault('both-pitch-and-rise');
        }
        if ($pitchNode === null && $riseNode === null) {
            $roof->missing('pitch');

            return [null, null];
        }
        $rise = $this->values->real($riseNode);
        $degrees = $pitchNode !== null ? $pitchNode->number() : ($rise === null || $span === null ? null : rad2deg(atan($rise->mm / ($span->mm / 2.0))));
        if ($degrees === null) {
            return [null, null];
        }
        if (! ($degrees > 0.0 && $degrees < self::STEEPEST_DEG)) {
            ($pitchNode ?? $riseNode ?? $roof)->fault('roof.too-flat', ['given' => round($degrees, 3)]);

            return [null, null];
        }

        return [Angle::ofDegrees($degrees), $rise];
    }
}
