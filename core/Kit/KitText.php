<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Building\Building;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Recall\Recall;

/**
 * The kit document as text, put together from what every part was written down as: a part that an edit left alone is neither written
 * nor read again. The same bytes as the whole written at once.
 */
final readonly class KitText
{
    /**
     * @param  string  $head  what comes before the parts, an object without its end
     * @param  list<string>  $parts
     * @param  string  $rest  what comes after them, an object
     */
    private function __construct(private string $head, private array $parts, private string $rest)
    {
    }

    /** Of a kit that is only tried: it stands as it would read back, without a fingerprint or sheets. */
    public static function tried(Kit $kit, Recall $recall = new Recall): Assembly
    {
        $totals = KitDocument::totals($kit, ['sheets' => 0, 'sheets_bound' => 0, 'sheets_yield' => 0.0]);

        return self::of($kit->modelled->building, '', $kit, $recall)->assembly(['totals' => $totals], $recall);
    }

    public static function of(Building $building, string $fingerprint, Kit $kit, Recall $recall): self
    {
        $parts = array_map(static fn (LabelledPart $labelled): string => $recall->of(
            Recall::question('written', $labelled->body, $labelled->identity()),
            static fn (): string => self::written(KitDocument::part($labelled)),
        ), $kit->parts);

        return new self(
            substr(self::written(KitDocument::head($building, $fingerprint)), 0, -1),
            $parts,
            self::written(KitDocument::rest($kit, $recall)),
        );
    }

    /** @param  array<string, mixed>  $added  what later rooms say of the kit */
    public function with(array $added): string
    {
        return $this->head.',"parts":['.implode(',', $this->parts).'],'.substr($this->rest, 1, -1).','.substr(self::written($added), 1);
    }

    /**
     * What is judged is what was written down: every part stands as its text reads back.
     *
     * @param  array<string, mixed>  $added
     */
    public function assembly(array $added, Recall $recall): Assembly
    {
        $rest = self::read($this->head.','.substr($this->rest, 1)) + self::read(self::written($added));

        return Assembly::written($this->parts, $rest, $recall);
    }

    /** @param  array<string, mixed>  $value */
    private static function written(array $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @return array<string, mixed> */
    private static function read(string $text): array
    {
        /** @var array<string, mixed> */
        return json_decode($text, true, 512, JSON_THROW_ON_ERROR);
    }
}
