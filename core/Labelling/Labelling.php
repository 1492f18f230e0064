<?php

declare(strict_types=1);

namespace Chartula\Core\Labelling;

use Chartula\Core\Part\Fingerprint;
use Chartula\Core\Part\Part;
use Chartula\Core\Recall\Recall;

/** Gives every part of a kit its label, the letter of those like it, and the part that it mirrors. In time in proportion to the parts. */
final class Labelling
{
    /** @var list<string> fingerprints of what is cut, in the order of the parts */
    private array $cuts;

    /** @var array<string, string> a letter for each shape that is cut more than once, by its fingerprint */
    private array $letters;

    /** @var array<string, array{int, string}> the first part of each shape: its place and its id, by its fingerprint */
    private array $first = [];

    /** @var list<string> all that each is cut, bent and printed by, in one word */
    private array $bodies;

    /** @var list<array{string, string, string}> fingerprints of what is cut, of its mirror image, and of what is printed */
    private array $prints;

    /** @param  list<Part>  $parts */
    private function __construct(private readonly array $parts, Recall $recall)
    {
        $this->bodies = array_map(static fn (Part $part): string => Recall::question('prints', ...self::seen($part)), $parts);
        $this->prints = array_map(static fn (Part $part, string $body): array => $recall->of(
            $body,
            static fn (): array => [Fingerprint::cut($part), Fingerprint::mirroredCut($part), Fingerprint::print($part)],
        ), $parts, $this->bodies);
        $this->cuts = array_column($this->prints, 0);
        $pieces = [];
        foreach ($this->cuts as $i => $cut) {
            $pieces[$cut] = ($pieces[$cut] ?? 0) + $parts[$i]->qty();
            $this->first[$cut] ??= [$i, $parts[$i]->id];
        }
        $repeated = array_keys(array_filter($pieces, static fn (int $count): bool => $count > 1));
        $this->letters = array_combine($repeated, array_map(self::letter(...), array_keys($repeated)));
    }

    /**
     * @param  list<Part>  $parts
     * @return list<LabelledPart>
     */
    public static function of(array $parts, Recall $recall = new Recall): array
    {
        return (new self($parts, $recall))->labelled();
    }

    /** @return list<mixed> all of it that a fingerprint is made of */
    private static function seen(Part $p): array
    {
        return [$p->outline, $p->holes, $p->scores, $p->slits, $p->stock, $p->thickness, $p->shape, $p->marks, $p->art];
    }

    /** @return list<LabelledPart> */
    private function labelled(): array
    {
        $numbers = [];
        $labelled = [];
        foreach ($this->parts as $i => $part) {
            $numbers[$part->letter] = ($numbers[$part->letter] ?? 0) + 1;
            $cut = $this->cuts[$i];
            $labelled[] = new LabelledPart(
                $part,
                $part->letter.$numbers[$part->letter],
                $this->letters[$cut] ?? null,
                $this->mirrorOf($i),
                $cut,
                $this->prints[$i][2],
                $this->bodies[$i],
            );
        }

        return $labelled;
    }

    /** An earlier part that is the mirror image of one that is not its own. */
    private function mirrorOf(int $i): ?string
    {
        $mirrored = $this->prints[$i][1];
        [$at, $id] = $this->first[$mirrored] ?? [$i, ''];

        return $mirrored === $this->cuts[$i] || $at >= $i ? null : $id;
    }

    /** A to Z, then AA, AB … */
    private static function letter(int $index): string
    {
        $letter = '';
        for ($n = $index + 1; $n > 0; $n = intdiv($n - 1, 26)) {
            $letter = chr(65 + ($n - 1) % 26).$letter;
        }

        return $letter;
    }
}
