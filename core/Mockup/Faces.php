<?php

declare(strict_types=1);

namespace Chartula\Core\Mockup;

use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** The surfaces of a form, block by block: walls round it, and its roof. */
final readonly class Faces
{
    /** @return list<array{string, list<Face>}> what it is, and its faces */
    public static function of(Form $form): array
    {
        $groups = [];
        $isOne = count($form->blocks) === 1;
        foreach ($form->blocks as $block) {
            $name = $isOne ? '' : $block->block->name.', ';
            $walls = [];
            foreach ($block->walls as $wall) {
                foreach ($wall->patches as $patch) {
                    $openings = array_values(
                        array_filter(
                            $wall->openings,
                            static fn (OpeningForm $o): bool =>
                                $patch->outline->contains(new Vec2(($o->left + $o->right()) / 2.0, ($o->sill + $o->top()) / 2.0)),
                        ),
                    );
                    $walls[] = new Face(
                        $wall->wall->name,
                        $wall->frame,
                        $patch->outline,
                        $patch->labels,
                        array_map(static fn (OpeningForm $o): Ring => $o->ring(), $openings),
                    );
                }
            }
            $roof = [];
            foreach ($form->facets as $facet) {
                foreach ($facet->block === $block->index ? $facet->patches : [] as $patch) {
                    $flat = $patch->mapped($facet->flat(...));
                    $roof[] = new Face($facet->name.' slope', $facet->frame, $flat->outline, $flat->labels, $flat->holes);
                }
            }
            $groups[] = [$name.'walls', $walls];
            $groups[] = [$name.'roof', $roof];
        }

        return array_values(array_filter($groups, static fn (array $g): bool => $g[1] !== []));
    }
}
