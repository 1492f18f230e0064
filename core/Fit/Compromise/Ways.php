<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Fit\Relief\ReliefTable;
use Chartula\Core\Fit\Sight\SightReport;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\EndedRoofs;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use stdClass;

/**
 * Every way to make a building smaller by what is missing, in one direction or in several: along its walls, from its height, its depth cut
 * off at the back, a block left out, everything by a factor. docs/formulas.md#compression
 *
 * @phpstan-import-type Size from Compromises
 */
final readonly class Ways
{
    /** Depth that an eye misses is weighed so. */
    private const DEPTH = 1.0;

    /** So many ways of each direction are put together with those of the others. */
    private const EACH = 3;

    /**
     * @param  Building  $building  as it is compressed now
     * @param  Kit  $kit  and what is made of it
     * @param  Size  $now  finished
     * @param  array<'across'|'deep'|'high', float>  $missing  model millimetres
     */
    public function __construct(
        private stdClass $document,
        private Building $building,
        private Kit $kit,
        private array $now,
        private array $missing,
        private Wishes $wishes,
    ) {
    }

    /** @return list<Proposal> the least harmful first */
    public function all(): array
    {
        if ($this->missing === []) {
            return [];
        }
        $ratio = $this->building->scale->ratio;
        $real = array_map(static fn (float $mm): float => $mm * $ratio, $this->missing);
        $directions = new Directions($this->building, $this->wishes);
        /** @var list<?Proposal> $together */
        $together = [null];
        foreach (array_diff_key($real, ['high' => 0.0]) as $direction => $by) {
            $cut = $direction === 'deep' && $this->wishes->only === null ? $this->cut($this->missing[$direction]) : null;
            $ways = array_slice(
                [...$cut === null ? [] : [$cut], ...$directions->shorter($direction === 'across', $by)],
                0,
                count($real) > 1 ? self::EACH : Compromises::MOST,
            );
            $together = array_merge(
                ...array_map(
                    static fn (?Proposal $one): array => array_map(static fn (Proposal $way): Proposal => $one?->and($way) ?? $way, $ways),
                    $together,
                ),
            );
        }
        $together = isset($real['high'])
            ? array_merge(
                ...array_map(fn (?Proposal $one): array => $this->lowered($one, $real['high']), $together),
            )
            : $together;
        $shares = array_map(fn (string $d): float => 1.0 - $this->missing[$d] / $this->now[$d], array_keys($this->missing));
        $factor = Ladder::factor(min($shares));
        $found = [
            ...array_values(array_filter($together, static fn (?Proposal $p): bool => $p !== null)),
            ...$this->wishes->only === null ? $directions->without($real) : [],
            ...$factor === null ? [] : [$factor],
        ];
        usort($found, Proposal::compare(...));

        return $found;
    }

    /**
     * Those that change nothing that is kept.
     *
     * @param  list<Proposal>  $found
     * @return list<Proposal>
     */
    public function sparing(array $found): array
    {
        return array_values(array_filter($found, function (Proposal $proposal): bool {
            $problems = new Problems;
            Compressor::of(BuildingReader::fromDocument($proposal->taken($this->document)), $problems);

            return ! $problems->have('compress.kept');
        }));
    }

    /**
     * So much of its depth cut off at the back, in the school that is recommended there: no harm where no eye can tell.
     *
     * @param  float  $by  model millimetres
     */
    private function cut(float $by): ?Proposal
    {
        $building = $this->kit->compressed->building;
        if ($building->relief !== null || $building->perspective !== null) {
            return null;
        }
        $points = array_merge(...array_map(static fn (BlockForm $b): array => $b->ring->points, $this->kit->form->blocks));
        $depth = $points === [] ? 0.0 : floor(1000.0 * ((new Ring($points))->bounds()->height() - $by)) / 1000.0;
        $best = $depth > 0.0 ? ReliefTable::school($building, $depth) : null;
        if ($best === null) {
            return null;
        }
        $relief = ['depth' => LengthFormat::trimmed($depth, 3).'mm', 'school' => $best['school']];
        $isHidden = self::isOutOfSight((new Proposal('depth', '', [], [], 0.0, false, $relief))->taken($this->document));
        $words = ['front-slope' => 'the rear dropped behind the ridge', 'slice' => 'sliced', 'keep-ridge' => 'the ridge at the back edge'];

        return new Proposal(
            'depth',
            'Depth out of sight',
            [],
            [
                sprintf('%.1f mm deep instead of %.1f, %s', $depth, $best['whole'], $words[$best['school']] ?? $best['school']),
                match ($isHidden) {
                    true => 'from the eye nobody can tell',
                    false => 'from the eye it is seen that something is missing: look under From the eye',
                    null => 'say from where it is looked at, and it will be told whether that shows',
                },
            ],
            $isHidden === true ? 0.0 : Ladder::harm(self::DEPTH, $best['whole'], $depth),
            false,
            $relief,
        );
    }

    /** Whether no eye can tell that a building is cut; null where nobody says where the eye is. */
    private static function isOutOfSight(stdClass $document): ?bool
    {
        try {
            $kit = Kit::derive(BuildingReader::fromDocument($document));
        } catch (InvalidInput) {
            return false;
        }
        $tells = SightReport::tells($kit);

        return $tells === null ? null : ! $tells;
    }

    /**
     * What was made shorter may be lower for that: only the rest has to go in courses.
     *
     * @param  float  $by  real millimetres that are too high
     * @return list<Proposal>
     */
    private function lowered(?Proposal $one, float $by): array
    {
        $problems = new Problems;
        $building = Compressor::of(
            BuildingReader::fromDocument($one?->taken($this->document) ?? $this->document),
            $problems,
        )->building;
        $now = $one === null ? $this->kit->form : Surfaces::of(EndedRoofs::of($building), $problems);
        if (! $problems->areNone()) {
            return [];
        }
        $left = $by - ($this->kit->form->top() - $now->top()) * $building->scale->ratio;
        if ($left <= Tolerance::TOLD * $building->scale->ratio) {
            return $one === null ? [] : [$one];
        }

        return array_map(static fn (Proposal $way): Proposal => $one?->and($way) ?? $way, (new Directions($building))->lower($now, $left));
    }
}
