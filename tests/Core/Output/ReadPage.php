<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Output\PdfWriter;
use Symfony\Component\Process\Process;

/**
 * A printed page read back by poppler, by somebody who has nothing else: lines by their look and words by their place. Millimetres from
 * the lower left.
 */
final readonly class ReadPage
{
    private const MM = 25.4 / 72.0;

    /**
     * @param  list<Ring>  $outlines  what is drawn through, thin and closed: cuts
     * @param  list<Box2>  $arrows
     * @param  list<array{Vec2, Vec2}>  $leaders
     * @param  list<array{string, Box2}>  $words
     */
    private function __construct(
        public array $outlines,
        public array $arrows,
        public array $leaders,
        public array $words,
    ) {
    }

    /**
     * @param  non-empty-list<Drawing>  $drawings
     * @return list<self>
     */
    public static function all(array $drawings): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'pages');
        file_put_contents($file, PdfWriter::write($drawings, 'Pages'));
        $html = (new Process(['pdftotext', '-bbox', $file, '-']))->mustRun()->getOutput();
        $pages = [];
        foreach (array_slice(explode('<page ', $html), 1) as $i => $words) {
            $number = (string) ($i + 1);
            $lines = new Process(['pdftocairo', '-svg', '-noshrink', '-nocenter', '-f', $number, '-l', $number, $file, '-']);
            $pages[] = self::of($lines->mustRun()->getOutput(), $words);
        }
        unlink($file);

        return $pages;
    }

    private static function of(string $svg, string $html): self
    {
        $outlines = $arrows = $leaders = $words = [];
        preg_match_all('/<path style="fill:none;stroke-width:([\d.]+);([^"]*)" d="([^"]*)"/', $svg, $paths, PREG_SET_ORDER);
        foreach ($paths as [, $width, $look, $d]) {
            $isThin = abs((float) $width * self::MM - 0.1) < 0.005;
            $isDashed = str_contains($look, 'dasharray');
            $lines = self::lines($d);
            $counts = array_map(static fn (array $l): int => count($l[0]), $lines);
            foreach ($lines as [$points, $isClosed]) {
                if ($isThin && ! $isDashed && $isClosed && count($points) > 2) {
                    $outlines[] = new Ring($points);
                } elseif ($isThin && $isDashed && count($points) === 2) {
                    $leaders[] = [$points[0], $points[1]];
                }
            }
            // A shaft, and two barbs from its tip.
            if ($counts === [2, 3] && $lines[0][0][1]->distanceTo($lines[1][0][1]) < 0.01) {
                $arrows[] = Box2::around([...$lines[0][0], ...$lines[1][0]]);
            }
        }
        preg_match('/height="([\d.]+)"/', $html, $size);
        $high = (float) ($size[1] ?? 0.0);
        preg_match_all('/xMin="([\d.-]+)" yMin="([\d.-]+)" xMax="([\d.-]+)" yMax="([\d.-]+)">(.*?)</', $html, $found, PREG_SET_ORDER);
        foreach ($found as [, $x0, $y0, $x1, $y1, $word]) {
            $words[] = [html_entity_decode($word), new Box2(
                (float) $x0 * self::MM, ($high - (float) $y1) * self::MM, (float) $x1 * self::MM, ($high - (float) $y0) * self::MM,
            )];
        }

        return new self($outlines, $arrows, $leaders, $words);
    }

    /** @return list<array{non-empty-list<Vec2>, bool}> each line of a path, and whether it closes */
    private static function lines(string $d): array
    {
        $lines = [];
        foreach (array_slice(explode('M ', $d), 1) as $line) {
            preg_match_all('/(-?[\d.]+) (-?[\d.]+)/', $line, $found, PREG_SET_ORDER);
            $points = array_map(static fn (array $p): Vec2 => new Vec2((float) $p[1] * self::MM, (float) $p[2] * self::MM), $found);
            // After each that closes the pen is set down once more where it began.
            array_push($lines, ...count($points) > 1 ? [[$points, str_contains($line, 'Z')]] : []);
        }

        return $lines;
    }

    /** @return list<array{string, Box2}> names, which follow an arrow, with the room that both take */
    public function names(): array
    {
        $names = [];
        foreach ($this->arrows as $arrow) {
            $near = [INF, '', $arrow];
            foreach ($this->words as [$word, $box]) {
                // Along the page, or up it.
                $away = match (true) {
                    preg_match('/^[A-Z]\d+,?$/D', $word) !== 1 => INF,
                    abs($box->centre()->y - $arrow->centre()->y) < 0.8 && $box->x0 > $arrow->centre()->x => $box->x0 - $arrow->x1,
                    abs($box->centre()->x - $arrow->centre()->x) < 0.8 && $box->y0 > $arrow->centre()->y => $box->y0 - $arrow->y1,
                    default => INF,
                };
                $near = $away < $near[0] ? [$away, $word, $box] : $near;
            }
            $names[] = [$near[1], $this->line(self::both($arrow, $near[2]))];
        }

        return $names;
    }

    /** With the words that follow it along the page. */
    private function line(Box2 $begun): Box2
    {
        foreach ($this->words as [, $box]) {
            $isNext = abs($box->centre()->y - $begun->centre()->y) < 0.6 && $box->x0 > $begun->x1 - 0.1 && $box->x0 < $begun->x1 + 1.0;
            $begun = $isNext ? self::both($begun, $box) : $begun;
        }

        return $begun;
    }

    private static function both(Box2 $a, Box2 $b): Box2
    {
        return new Box2(min($a->x0, $b->x0), min($a->y0, $b->y0), max($a->x1, $b->x1), max($a->y1, $b->y1));
    }

    /** The outline of the piece that a name is for: it stands on it, a line leads to it, or it is the nearest. */
    public function named(Box2 $name): Ring
    {
        $at = $name->centre();
        $from = $name;
        foreach ($this->leaders as [$a, $b]) {
            foreach ([[$a, $b], [$b, $a]] as [$here, $there]) {
                $from = self::between($name, Box2::around([$here])) < 0.6 ? Box2::around([$there]) : $from;
            }
        }
        $best = [INF, INF, $this->outlines[0]];
        foreach ($this->outlines as $outline) {
            $isOn = $outline->contains($at);
            $found = [$isOn ? 0.0 : min(array_map(
                static fn (Vec2 $p): float => $outline->distanceTo($p),
                [$from->centre(), new Vec2($from->x0, $from->y0), new Vec2($from->x1, $from->y1), new Vec2($from->x0, $from->y1),
                    new Vec2($from->x1, $from->y0)],
            )), $outline->area(), $outline];
            $best = [$found[0], $found[1]] < [$best[0], $best[1]] ? $found : $best;
        }

        return $best[2];
    }

    private static function between(Box2 $a, Box2 $b): float
    {
        return hypot(max(0.0, $a->x0 - $b->x1, $b->x0 - $a->x1), max(0.0, $a->y0 - $b->y1, $b->y0 - $a->y1));
    }

    /** Whether two shapes are one, moved and turned but not turned over. */
    public static function isCongruent(Ring $one, Ring $other): bool
    {
        [$a, $b] = [self::steps($one), self::steps($other)];
        $n = count($a);
        for ($shift = 0; $n === count($b) && $shift < $n; $shift++) {
            for ($i = 0; $i < $n; $i++) {
                [$p, $q] = [$a[$i], $b[($i + $shift) % $n]];
                if (abs($p[0] - $q[0]) > 0.01 || abs($p[1] - $q[1]) > 0.02 / max(0.5, min($p[0], $p[2]))) {
                    continue 2;
                }
            }

            return true;
        }

        return false;
    }

    /** @return list<array{float, float, float}> each side's length, the sine of the turn after it, and the next side's length, to the left */
    private static function steps(Ring $ring): array
    {
        $points = $ring->signedArea() < 0.0 ? array_reverse($ring->points) : $ring->points;
        $n = count($points);
        // What lies on a straight side is no corner.
        $points = array_values(array_filter($points, static fn (Vec2 $p, int $i): bool =>
            $p->distanceToSegment($points[($i + $n - 1) % $n], $points[($i + 1) % $n]) > 0.002, ARRAY_FILTER_USE_BOTH));
        $n = count($points);
        $steps = [];
        foreach ($points as $i => $p) {
            [$one, $next] = [$points[($i + 1) % $n]->minus($p), $points[($i + 2) % $n]->minus($points[($i + 1) % $n])];
            $steps[] = [$one->length(), $one->cross($next) / ($one->length() * $next->length()), $next->length()];
        }

        return $steps;
    }
}
