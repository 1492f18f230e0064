<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Geometry\Vec2;

/**
 * Writes sheets as one DXF drawing, release 12, in millimetres: sheets side by side, each in a frame on the layer SHEET;
 * CUT, PAPER (the outlines of papers), SCORE, MARK and TEXT apart. Group codes by the release 12 reference.
 */
final readonly class DxfWriter
{
    private const GAP_MM = 20.0;

    /** Colours by the index that every reader knows: red, cyan, magenta, grey, white. */
    private const LAYERS = ['SHEET' => 8, 'CUT' => 7, 'PAPER' => 4, 'SCORE' => 1, 'MARK' => 6, 'TEXT' => 7];

    /** @param  list<Drawing>  $drawings */
    public static function write(array $drawings): string
    {
        $entities = [];
        $left = 0.0;
        $high = 0.0;
        foreach ($drawings as $drawing) {
            array_push($entities, ...self::sheet($drawing, $left));
            $left += $drawing->width + self::GAP_MM;
            $high = max($high, $drawing->height);
        }

        return self::lines([
            [0, 'SECTION'], [2, 'HEADER'],
            [9, '$ACADVER'], [1, 'AC1009'], [9, '$INSUNITS'], [70, '4'], [9, '$MEASUREMENT'], [70, '1'],
            [9, '$EXTMIN'], [10, '0'], [20, '0'], [30, '0'], [9, '$EXTMAX'],
            [10, self::number(max(0.0, $left - self::GAP_MM))], [20, self::number($high)], [30, '0'],
            [0, 'ENDSEC'],
            [0, 'SECTION'], [2, 'TABLES'],
            [0, 'TABLE'], [2, 'LTYPE'], [70, '2'],
            [0, 'LTYPE'], [2, 'CONTINUOUS'], [70, '64'], [3, 'Solid line'], [72, '65'], [73, '0'], [40, '0'],
            [0, 'LTYPE'], [2, 'DASHED'], [70, '64'], [3, 'Dashed'], [72, '65'], [73, '2'], [40, '2'], [49, '1.2'], [49, '-0.8'],
            [0, 'ENDTAB'],
            [0, 'TABLE'], [2, 'LAYER'], [70, (string) count(self::LAYERS)], ...self::layers(), [0, 'ENDTAB'],
            [0, 'ENDSEC'],
            [0, 'SECTION'], [2, 'ENTITIES'], ...$entities, [0, 'ENDSEC'],
            [0, 'EOF'],
        ]);
    }

    /** @return list<array{int, string}> */
    private static function layers(): array
    {
        $pairs = [];
        foreach (self::LAYERS as $name => $colour) {
            array_push(
                $pairs,
                [0, 'LAYER'],
                [2, $name],
                [70, '0'],
                [62, (string) $colour],
                [6, $name === 'SCORE' ? 'DASHED' : 'CONTINUOUS'],
            );
        }

        return $pairs;
    }

    /** @return list<array{int, string}> */
    private static function sheet(Drawing $drawing, float $left): array
    {
        [$w, $h] = [$drawing->width, $drawing->height];
        $entities = self::polyline('SHEET', [new Vec2(0.0, 0.0), new Vec2($w, 0.0), new Vec2($w, $h), new Vec2(0.0, $h)], true, $left);
        $names = [
            Layer::Cut->value => $drawing->cutsPaper ? 'PAPER' : 'CUT', Layer::Score->value => 'SCORE',
            Layer::Mark->value => 'MARK', Layer::Text->value => 'TEXT',
        ];
        foreach ([Layer::Cut, Layer::Score, Layer::Mark, Layer::Text] as $layer) {
            foreach ($drawing->paths($layer) as $path) {
                foreach ($path->lines as $line) {
                    array_push($entities, ...self::polyline($names[$layer->value], $line, $path->closed, $left));
                }
            }
        }
        foreach ($drawing->texts() as $text) {
            array_push($entities, ...self::text($text, $left));
        }

        return $entities;
    }

    /**
     * @param  non-empty-list<Vec2>  $points
     * @return list<array{int, string}>
     */
    private static function polyline(string $layer, array $points, bool $closed, float $left): array
    {
        $pairs = [[0, 'POLYLINE'], [8, $layer], [66, '1'], [10, '0'], [20, '0'], [30, '0'], [70, $closed ? '1' : '0']];
        foreach ($points as $p) {
            array_push($pairs, [0, 'VERTEX'], [8, $layer], [10, self::number($p->x + $left)], [20, self::number($p->y)], [30, '0']);
        }
        array_push($pairs, [0, 'SEQEND'], [8, $layer]);

        return $pairs;
    }

    /** @return list<array{int, string}> */
    private static function text(Text $text, float $left): array
    {
        $x = self::number($text->at->x + $left);
        $y = self::number($text->at->y);
        $pairs = [
            [0, 'TEXT'], [8, 'TEXT'], [10, $x], [20, $y], [30, '0'], [40, self::number($text->size)],
            [1, self::words($text->text)], [50, self::number($text->turnDeg)],
        ];
        if ($text->anchor !== 'start') {
            array_push($pairs, [72, $text->anchor === 'middle' ? '1' : '2'], [11, $x], [21, $y], [31, '0']);
        }

        return $pairs;
    }

    /** A value is one line, so a name must not begin another; `%%` starts a control code in readers. */
    private static function words(string $text): string
    {
        $plain = (string) preg_replace('/[\x00-\x1f\x7f]+/', ' ', $text);

        return self::ascii(str_replace(['%%', '^', '\U+'], ['% %', '^ ', '\ U+'], $plain));
    }

    /** Release 12 is written in ASCII; what lies beyond it goes as its code, `\U+XXXX`. */
    private static function ascii(string $text): string
    {
        return (string) preg_replace_callback(
            '/[^\x20-\x7e]/u',
            static fn (array $m): string => sprintf('\U+%04X', mb_ord($m[0], 'UTF-8')),
            $text,
        );
    }

    /** @param  list<array{int, string}>  $pairs */
    private static function lines(array $pairs): string
    {
        return implode('', array_map(static fn (array $pair): string => sprintf("%3d\n%s\n", $pair[0], $pair[1]), $pairs));
    }

    private static function number(float $value): string
    {
        $text = rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.');

        return $text === '-0' ? '0' : $text;
    }
}
