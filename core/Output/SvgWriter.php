<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Drawing\NoPictures;
use Chartula\Core\Drawing\Path;
use Chartula\Core\Drawing\Pictures;
use Chartula\Core\Drawing\Symbol;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Drawing\Tiles;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Writes a drawing as SVG in millimetres: one group a layer, y flipped once, at the root. */
final class SvgWriter
{
    /** @var array<string, string> pictures by the ids under which they are used */
    private array $images = [];

    private int $clips = 0;

    private function __construct(private readonly Pictures $pictures)
    {
    }

    public static function write(Drawing $drawing, Pictures $pictures = new NoPictures): string
    {
        return (new self($pictures))->of($drawing);
    }

    private function of(Drawing $drawing): string
    {
        $w = self::number($drawing->width);
        $h = self::number($drawing->height);
        $svg = '<?xml version="1.0" encoding="UTF-8"?>'."\n"
            ."<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$w}mm\" height=\"{$h}mm\" viewBox=\"0 0 $w $h\" role=\"img\">\n"
            .'<title>'.self::escape($drawing->title)."</title>\n";
        $symbols = implode('', array_map($this->symbol(...), array_values($drawing->symbols())));
        $layers = $this->layers($drawing);
        $defs = implode('', $this->images).$symbols;

        return $svg.($defs === '' ? '' : "<defs>\n$defs</defs>\n")."<g transform=\"matrix(1 0 0 -1 0 $h)\">\n$layers</g>\n</svg>\n";
    }

    private function layers(Drawing $drawing): string
    {
        $svg = '';
        foreach (Layer::cases() as $layer) {
            $svg .= "<g id=\"$layer->value\" fill=\"none\" stroke-linejoin=\"round\">\n";
            if ($layer === Layer::Art) {
                foreach ($drawing->placements() as $p) {
                    $matrix = implode(' ', array_map(self::number(...), [$p->a, $p->b, $p->c, $p->d, $p->e, $p->f]));
                    $svg .= "<use href=\"#$p->symbol\" transform=\"matrix($matrix)\"/>\n";
                }
            }
            foreach ($drawing->paths($layer) as $path) {
                $svg .= $this->path($path);
            }
            $svg .= $layer === Layer::Text ? implode('', array_map(self::text(...), $drawing->texts())) : '';
            $svg .= "</g>\n";
        }

        return $svg;
    }

    private function symbol(Symbol $symbol): string
    {
        $clip = implode('', array_map(static fn (Ring $r): string => self::line($r->points, true), $symbol->clip));

        return "<clipPath id=\"$symbol->id-clip\"><path d=\"$clip\"/></clipPath>\n"
            ."<g id=\"$symbol->id\" clip-path=\"url(#$symbol->id-clip)\">".implode('', array_map($this->path(...), $symbol->paths))."</g>\n";
    }

    private function path(Path $path): string
    {
        $d = implode('', array_map(static fn (array $line): string => self::line($line, $path->closed), $path->lines));
        $look = $path->fill === null ? '' : " fill=\"$path->fill\" fill-rule=\"evenodd\"";
        if ($path->stroke !== null) {
            $look .= " stroke=\"{$path->stroke->colour}\" stroke-width=\"".self::number($path->stroke->width).'"';
            $look .= $path->stroke->dash === []
                ? ''
                : ' stroke-dasharray="'.implode(' ', array_map(self::number(...), $path->stroke->dash)).'"';
        }

        return "<path d=\"$d\"$look/>\n".($path->tiles === null ? '' : $this->tiles($path->tiles, $path->box(), $d));
    }

    /** @param  string  $d  what shows of it */
    private function tiles(Tiles $tiles, Box2 $box, string $d): string
    {
        $jpeg = $this->pictures->jpeg($tiles->sha256);
        if ($jpeg === null) {
            return '';
        }
        $id = 'picture-'.substr($tiles->sha256, 0, 12);
        // One unit wide and high, so that each copy is told where it lies; it stands on its head with everything else.
        $this->images[$id] = "<image id=\"$id\" width=\"1\" height=\"1\" preserveAspectRatio=\"none\" href=\"data:image/jpeg;base64,"
            .base64_encode($jpeg)."\"/>\n";
        $copies = '';
        foreach ($tiles->in($box) as $copy) {
            // The image's own axis runs down.
            [$a, $b, $c, $d1, $e, $f] = $copy->matrix();
            $matrix = array_map(self::number(...), [$a, $b, -$c, -$d1, $e + $c, $f + $d1]);
            $use = "<use href=\"#$id\" transform=\"matrix(".implode(' ', $matrix).")\"/>\n";
            $copies .= $copy->clip === null ? $use : $this->clipped($id, self::line($copy->clip->points, true), $use);
        }

        return $this->clipped($id, $d, $copies);
    }

    /** @param  string  $d  what shows */
    private function clipped(string $id, string $d, string $svg): string
    {
        $clip = "$id-".++$this->clips;

        return "<clipPath id=\"$clip\"><path d=\"$d\" clip-rule=\"evenodd\"/></clipPath>\n<g clip-path=\"url(#$clip)\">$svg</g>\n";
    }

    /** @param  non-empty-list<Vec2>  $points */
    private static function line(array $points, bool $closed): string
    {
        return 'M'.implode('L', array_map(static fn (Vec2 $p): string => self::number($p->x).' '.self::number($p->y), $points))
            .($closed ? 'Z' : '');
    }

    private static function text(Text $text): string
    {
        $x = self::number($text->at->x);
        $y = self::number($text->at->y);
        // The root is flipped, so each text is flipped back where it stands.
        $turn = $text->turnDeg === 0.0 ? '' : ' rotate('.self::number(-$text->turnDeg).')';

        return "<text transform=\"translate($x $y) scale(1 -1)$turn\" font-family=\"Public Sans, Liberation Sans, sans-serif\" font-size=\""
            .self::number($text->size)
            ."\" text-anchor=\"$text->anchor\"".(
                $text->bold ? ' font-weight="bold"' : ''
            )." fill=\"$text->colour\">".self::escape($text->text)."</text>\n";
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_XML1 | ENT_SUBSTITUTE | ENT_DISALLOWED, 'UTF-8');
    }

    /** Writes four decimals at most, and never an exponent. */
    private static function number(float $value): string
    {
        $text = rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.');

        return $text === '-0' ? '0' : $text;
    }
}
