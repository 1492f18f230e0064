<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

use Chartula\Core\Problem\InvalidInput;

/**
 * A length as a person asks for it: at their scale and at the usual ones, and both ways round where the unit does not say
 * whether the prototype or the model is meant.
 */
final readonly class Conversion
{
    /** Lists the ratios in which most people model. */
    public const USUAL = [22.5, 43.5, 76.2, 87.1, 148.0, 160.0];

    /** A length shorter than this, in a unit that says neither, is more likely a size on the model. */
    private const LIKELY_MODEL_MM = 500.0;

    /** Feet and inches up to this may be meant of either: what is measured on the model with an inch rule. */
    private const SMALL_MM = 304.8;

    private const INCH_MM = 25.4;

    private function __construct(
        private ParsedLength $length,
        private string $written,
        private Scale $here,
        private bool $imperial,
    ) {
    }

    /**
     * @param  bool  $imperial  whether real sizes are liked in feet and inches
     * @return non-empty-list<array{text: string, copy: string}> the likeliest first
     *
     * @throws InvalidInput at "text" or "scale"
     */
    public static function of(string $text, Scale $scale, Gauge $gauge, bool $imperial): array
    {
        if (preg_match('/^(.*?)\s*(?:\bat|@)\s*(1\s*:\s*[\d.]+)$/u', $text, $m) === 1) {
            [$text, $scale] = [$m[1], Scale::parse((string) preg_replace('/\s+/', '', $m[2]), 'scale')];
        }
        $length = (new LengthText($gauge))->parse($text, 'text');
        $length = $length->more === [] ? $length : new ParsedLength($length->in(World::Real, $scale), World::Real);
        $self = new self($length, trim($text), $scale, $imperial);
        $isSaid = $self->length->world !== null;
        $isPlain = ! $isSaid && preg_match('/(mm|thou)$/D', trim($text)) === 1;
        $isSmall = ! $isSaid && ! $isPlain && preg_match('/(br|co)$/D', trim($text)) === 0 && abs($self->length->mm) <= self::SMALL_MM;
        $model = $self->length->world === World::Model
            || ($isPlain && abs($self->length->mm) <= self::LIKELY_MODEL_MM)
            || ($isSmall && abs($self->length->mm) <= self::INCH_MM);
        [$likely, $other] = $model ? [$self->asModel(), $self->asReal()] : [$self->asReal(), $self->asModel()];

        // Both ways at this scale before any other.
        return $isPlain || $isSmall ? [$likely[0], $other[0], ...array_slice($likely, 1)] : $likely;
    }

    /** @return non-empty-list<array{text: string, copy: string}> */
    private function asReal(): array
    {
        $entry = function (Scale $scale): array {
            $model = LengthFormat::millimetres($this->length->mm / $scale->ratio);

            return ['text' => $this->plainly()." of the real thing is $model ".self::at($scale), 'copy' => $model];
        };

        return [$entry($this->here), ...array_map($entry, $this->others())];
    }

    /** @return non-empty-list<array{text: string, copy: string}> */
    private function asModel(): array
    {
        $entry = function (Scale $scale): array {
            $real = $this->length->mm * $scale->ratio;
            $both = [LengthFormat::imperial($real), LengthFormat::metric($real)];
            [$liked, $other] = $this->imperial ? $both : array_reverse($both);

            return ['text' => $this->plainly()." on the model is $liked ($other) ".self::at($scale), 'copy' => $liked];
        };

        return [$entry($this->here), ...array_map($entry, $this->others())];
    }

    private function plainly(): string
    {
        return trim((string) preg_replace('/ +(model|real)$/D', '', $this->written));
    }

    /** @return list<Scale> */
    private function others(): array
    {
        return array_values(
            array_map(
                static fn (float $ratio): Scale => Scale::of($ratio),
                array_filter(self::USUAL, fn (float $ratio): bool => abs($ratio - $this->here->ratio) > Tolerance::ROUNDING),
            ),
        );
    }

    private static function at(Scale $scale): string
    {
        return 'at 1:'.LengthFormat::trimmed($scale->ratio, 4);
    }
}
