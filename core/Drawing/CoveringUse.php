<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;

/** A covering of a building in its paper and its colours, and the faces that have it. */
final readonly class CoveringUse
{
    /** So many faces are named. */
    private const NAMED = 3;

    /** @param  list<string>  $faces  in words */
    public function __construct(public Finish $finish, public ?string $paper, public ?string $palette, public array $faces = [])
    {
    }

    /** @return list<self> those that the document asks for, each once */
    public static function all(Building $building): array
    {
        $asked = [];
        foreach ($building->blocks as $block) {
            foreach ($block->walls as $wall) {
                $asked[] = [$wall->finish, $wall->paper, $wall->palette, "$wall->name wall of $block->name"];
            }
            $asked[] = [$block->roof->finish, $block->roof->paper, $block->roof->palette, "roof of $block->name"];
            foreach ($block->features as $feature) {
                $said = $feature->said;
                $finish = $said->text('paper') === null && $said->text('palette') === null
                    ? Finish::Bare
                    : Finish::tryFrom($said->text('finish') ?? '') ?? Finish::Bare;
                $asked[] = [$finish, $said->text('paper'), $said->text('palette'), lcfirst($feature->kind->title())." on $block->name"];
            }
        }
        $uses = [];
        foreach ($asked as [$finish, $paper, $palette, $face]) {
            $key = "$finish->value/$paper/$palette";
            if ($finish !== Finish::Bare || $paper !== null) {
                $uses[$key] = new self($finish, $paper, $palette, [...$uses[$key]->faces ?? [], $face]);
            }
        }

        return array_values($uses);
    }

    /** Such as “brick, English bond, in Mixed stocks”. */
    public function words(Building $building): string
    {
        $in = array_filter([
            ($building->papers[$this->paper ?? ''] ?? null)?->name, ($building->palettes[$this->palette ?? ''] ?? null)?->name,
        ], static fn (?string $name): bool => $name !== null);

        return implode(', in ', [$this->finish->words(), ...$in]);
    }

    public function where(): string
    {
        $more = count($this->faces) - self::NAMED;

        return implode(', ', array_slice($this->faces, 0, self::NAMED)).($more > 0 ? " and $more more" : '');
    }
}
