<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Vec2;

/** A page of lines, texts and artwork, ready for any writer. Millimetres, origin lower left, y up. */
final class Drawing
{
    /** @var list<Path> */
    private array $paths = [];

    /** @var list<Text> */
    private array $texts = [];

    /** @var array<string, Symbol> */
    private array $symbols = [];

    /** @var list<Placement> */
    private array $placements = [];

    /** @param  bool  $cutsPaper  whether what is cut here is paper rather than card */
    public function __construct(
        public readonly float $width,
        public readonly float $height,
        public readonly string $title,
        public readonly bool $cutsPaper = false,
    ) {
    }

    public function path(Path $path): void
    {
        $this->paths[] = $path;
    }

    public function line(Layer $layer, Vec2 $from, Vec2 $to, Stroke $stroke): void
    {
        $this->paths[] = new Path($layer, [[$from, $to]], false, $stroke);
    }

    public function text(Text $text): void
    {
        if ($text->text !== '') {
            $this->texts[] = $text;
        }
    }

    public function place(Symbol $symbol, Placement $placement): void
    {
        $this->symbols[$symbol->id] = $symbol;
        $this->placements[] = $placement;
    }

    public function symbol(string $id): ?Symbol
    {
        return $this->symbols[$id] ?? null;
    }

    /** @return list<Path> */
    public function paths(Layer $layer): array
    {
        return array_values(array_filter($this->paths, static fn (Path $p): bool => $p->layer === $layer));
    }

    /** @return list<Text> */
    public function texts(): array
    {
        return $this->texts;
    }

    /** @return array<string, Symbol> */
    public function symbols(): array
    {
        return $this->symbols;
    }

    /** @return list<Placement> */
    public function placements(): array
    {
        return $this->placements;
    }

    /** The drawing stretched about the middle of its page, which keeps its size: for a printer that prints short. */
    public function stretched(float $fx, float $fy): self
    {
        $cx = $this->width / 2.0 * (1.0 - $fx);
        $cy = $this->height / 2.0 * (1.0 - $fy);
        $move = static fn (Vec2 $p): Vec2 => new Vec2($p->x * $fx + $cx, $p->y * $fy + $cy);
        $stretched = new self($this->width, $this->height, $this->title, $this->cutsPaper);
        foreach ($this->paths as $path) {
            $stretched->path($path->with(lines: array_map(static fn (array $line): array => array_map($move, $line), $path->lines)));
        }
        foreach ($this->texts as $text) {
            $stretched->text(
                new Text($move($text->at), $text->text, $text->size, $text->anchor, $text->turnDeg, $text->bold, $text->colour),
            );
        }
        foreach ($this->placements as $p) {
            $stretched->place(
                $this->symbols[$p->symbol],
                new Placement($p->symbol, $p->a * $fx, $p->b * $fy, $p->c * $fx, $p->d * $fy, $p->e * $fx + $cx, $p->f * $fy + $cy),
            );
        }

        return $stretched;
    }

    /** Gives the drawing with every line so many times as thick, and nothing moved. */
    public function withStrokesTimes(float $factor): self
    {
        $thick = new self($this->width, $this->height, $this->title, $this->cutsPaper);
        foreach ($this->paths as $path) {
            $stroke = $path->stroke === null
                ? null
                : new Stroke($path->stroke->width * $factor, $path->stroke->colour, $path->stroke->dash);
            $thick->path($path->with(stroke: $stroke));
        }
        array_map($thick->text(...), $this->texts);
        array_map(fn (Placement $p) => $thick->place($this->symbols[$p->symbol], $p), $this->placements);

        return $thick;
    }
}
