<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use PHPUnit\Framework\TestCase;
use SimpleXMLElement;
use Tests\Support\GoldenCase;

/** The files of the golden cases, byte for byte. Only `bin/golden --update` rewrites them. */
final class GoldenTest extends TestCase
{
    public function testEveryCaseGivesItsFiles(): void
    {
        $cases = GoldenCase::all();
        self::assertNotSame([], $cases);
        foreach ($cases as $case) {
            $files = $case->files();
            self::assertSame($case->names(), array_keys($files));
            foreach ($files as $name => $contents) {
                $golden = (string) file_get_contents("$case->folder/$name");
                if ($golden !== $contents) {
                    $new = sys_get_temp_dir()."/$name";
                    file_put_contents($new, $contents);
                    $at = strspn($golden ^ $contents, "\0");
                    self::fail(
                        basename($case->folder)."/$name differs from byte $at on (“".substr($contents, max(0, $at - 20), 60)
                            ."”); the new file is $new",
                    );
                }
            }
        }
    }

    /**
     * Three figures of the hut's first sheet, worked by hand at 1:76.2. A slope: depth 6 ft = 24, run 12, overhang
     * 6 in = 2, so (12 + 2)/cos 35° = 17.091 up; 7 ft 6 in = 30 and two verges of 4 in = 1.333, so 32.667 along. The
     * front wall: 30 × 28 (7 ft). Its door begins at 2 ft 6 in = 10, less the 0.1 of the paper that turns in: 9.9 from
     * one end, 20.1 from the other.
     */
    public function testThreeCoordinatesWorkedByHand(): void
    {
        $svg = new SimpleXMLElement((string) file_get_contents(dirname(__DIR__, 2).'/Golden/lamp-hut/sheet-01.svg'));
        $svg->registerXPathNamespace('s', 'http://www.w3.org/2000/svg');
        self::assertSame(['210mm', '297mm', '0 0 210 297'], [(string) $svg['width'], (string) $svg['height'], (string) $svg['viewBox']]);
        $sizes = [];
        $door = [];
        foreach (self::found($svg->xpath("//s:g[@id='cut']/s:path")) as $path) {
            preg_match_all('/([\d.]+) ([\d.]+)/', explode('Z', (string) $path['d'])[0], $m);
            $xs = array_map(floatval(...), $m[1]);
            $ys = array_map(floatval(...), $m[2]);
            if ($xs === [] || $ys === []) {
                continue;
            }
            $sizes[] = [round(max($xs) - min($xs), 3), round(max($ys) - min($ys), 3)];
            if (count($xs) > 8) {
                // Wherever the wall lies, and if it is turned: the notch's two feet are 10.2 apart, 9.9 from the left end.
                $door[] = [min($xs), max($xs), min($ys), max($ys), $xs, $ys];
            }
        }
        self::assertContains([32.667, 17.091], array_map(static fn (array $s): array => [max($s), min($s)], $sizes), 'a roof panel');
        self::assertContains([30.0, 28.0], array_map(static fn (array $s): array => [max($s), min($s)], $sizes), 'the front wall');
        [$x0, , $y0, , $xs, $ys] = $door[0];
        $along = array_map(static fn (float $x): float => round($x - $x0, 3), $xs);
        $up = array_map(static fn (float $y): float => round($y - $y0, 3), $ys);
        self::assertTrue(
            in_array(9.9, $along, true) || in_array(9.9, $up, true) || in_array(20.1, $along, true) || in_array(20.1, $up, true),
            'the door begins at 10 − 0.1',
        );
    }

    /**
     * @param  array<SimpleXMLElement>|false|null  $paths
     * @return array<SimpleXMLElement>
     */
    private static function found(array|false|null $paths): array
    {
        return is_array($paths) ? $paths : self::fail('no paths');
    }
}
