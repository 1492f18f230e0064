<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\Masonry;
use Chartula\Core\Form\Claims\RaisedRoom;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Problem\Check;
use Chartula\Core\Shell\WallSpan;

/** What stands round openings and is not made as it is said, or runs into something else. docs/formulas.md#dressings */
final readonly class DressChecks
{
    /** What runs over something else by less than this is not seen, mm². */
    private const LEAST_MM2 = 0.01;

    private function __construct(private Masonry $masonry, private WallSpan $span)
    {
    }

    /** @return list<Check> */
    public static function all(Building $building, Kit $kit): array
    {
        $checks = [];
        $masonry = Masonry::of($building);
        foreach ($kit->walls->spans() as $span) {
            array_push($checks, ...$span->isBuilt() ? (new self($masonry, $span))->wall() : []);
        }

        return $checks;
    }

    /** @return list<Check> */
    private function wall(): array
    {
        $wall = $this->span->form;
        $checks = [];
        foreach ($wall->openings as $opening) {
            foreach ($this->span->block->dress($wall->wall->edge, $opening->opening, $opening->copy) as $feature) {
                $round = $wall->claimsRound($opening->id);
                if (array_filter($round, static fn (Claim $claim): bool => $claim->feature === $feature) === []) {
                    $text = 'It stands on the ground: no '.lcfirst($feature->kind->title()).' is made there.';
                    $checks[] = $this->check($opening->id, 'dress.not-here', Check::NOTE, $text);
                }
            }
        }
        foreach ($wall->claims as $i => $claim) {
            array_push($checks, ...$claim->pierces || $claim->isOwn ? [] : $this->made($wall, $claim));
            array_push($checks, ...$wall->receding === null ? $this->clashes($wall, $i) : []);
        }

        return $checks;
    }

    /** @return list<Check> what of it is made otherwise than it is said */
    private function made(WallForm $wall, Claim $claim): array
    {
        $what = $claim->feature->kind->title();
        $said = $claim->feature->said->text('as') ?? 'printed';
        $isRaised = RaisedRoom::has($wall, $claim);
        $checks = [];
        if ($wall->receding !== null && $said !== 'printed') {
            $text = "$what: printed and not raised, since its wall is built to look deeper than it is.";
            $checks[] = $this->check($claim->owner(), 'dress.receding', Check::NOTE, $text);
        } elseif ($said !== 'printed' && ! $claim->how->isRaised()) {
            $checks[] = $this->check($claim->owner(), 'dress.inner', Check::NOTE, "$what: printed and not raised, in an inner corner.");
        } elseif ($claim->how->isRaised() && $claim->isTooFine) {
            $text = "$what: not raised where so little of it is left that there would be no card to cut.";
            $checks[] = $this->check($claim->owner(), 'dress.too-fine', Check::WARN, $text);
        } elseif ($claim->how->isRaised() && ! $isRaised) {
            $text = "$what: not raised, since there is no wall behind all of it, or something else is in its way.";
            $checks[] = $this->check($claim->owner(), 'dress.no-room', Check::WARN, $text);
        }
        if (! $wall->isPapered && ! $isRaised) {
            $raise = $claim->covering === null ? 'Raise it, or give' : 'Give';
            $text = "$what: not made, since its wall has no paper to print it on. $raise the wall a finish.";
            $checks[] = $this->check($claim->owner(), 'dress.no-paper', Check::WARN, $text);
        }
        $hasJoints = $claim->units !== [] && $claim->tone->joint !== $claim->tone->unit;
        if ($hasJoints && $this->masonry->joint <= 0.0) {
            $text = "$what: its joints are too fine to print at this scale; its units are told by their tones.";
            $checks[] = $this->check($claim->owner(), 'dress.tones', Check::NOTE, $text);
        } elseif ($hasJoints && $this->masonry->isWidened) {
            $text = "$what: its joints are printed wider than to scale, as fine as they can be.";
            $checks[] = $this->check($claim->owner(), 'dress.widened', Check::NOTE, $text);
        }

        return $checks;
    }

    /** @return list<Check> what it runs into: the edge of its wall, another opening, what else stands there */
    private function clashes(WallForm $wall, int $place): array
    {
        $claim = $wall->claims[$place];
        $what = $claim->feature->kind->title();
        $region = new Region($claim->ring);
        if ($claim->covering !== null) {
            // It goes round openings and ends with its wall, as what it stands for does.
            $shared = array_map(static fn (Patch $p): float => Clip::sharedArea($region, new Region($p->outline)), $wall->patches);

            return array_sum($shared) > self::LEAST_MM2 ? [] : [
                $this->check($claim->owner(), 'dress.past-wall', Check::WARN, "$what: lies beyond its wall, where there is nothing to cover."),
            ];
        }
        $checks = [];
        if (! RaisedRoom::hasWallBehind($wall, $claim)) {
            $text = "$what: runs past the edge of its wall, and is cut there.";
            $checks[] = $this->check($claim->owner(), 'dress.past-wall', Check::WARN, $text);
        }
        foreach ($wall->openings as $other) {
            if ($other->id !== $claim->opening && Clip::sharedArea($region, new Region($other->ring())) > self::LEAST_MM2) {
                $checks[] = $this->check($claim->owner(), 'dress.over-opening', Check::WARN, "$what: runs into another opening.");
            }
        }
        // Each two are told once, by the one that comes later.
        foreach ($claim->isOver ? [] : array_slice($wall->claims, 0, $place) as $one) {
            $isOther = ! $one->isOver && ! ($claim->isOwn && $one->feature === $claim->feature);
            if ($isOther && Clip::sharedArea($region, new Region($one->ring)) > self::LEAST_MM2) {
                $with = lcfirst($one->feature->kind->title());
                $checks[] = $this->check($claim->owner(), 'dress.clash', Check::WARN, "$what: takes the same place as a $with.");
            }
        }

        return $checks;
    }

    /**
     * @param  string  $at  the id of an opening or of a thing
     * @param  value-of<Check::LEVELS>  $level
     */
    private function check(string $at, string $code, string $level, string $text): Check
    {
        return new Check($code, $level, "{$this->span->block->id}.{$this->span->name()}.$at", $text);
    }
}
