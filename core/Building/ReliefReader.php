<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;

/** Reads `relief`; whether the building can be cut so is found out where it is formed. */
final readonly class ReliefReader
{
    public static function read(?Node $node, Values $values): ?Relief
    {
        if ($node === null || $node->isEmpty() || ! $node->isObject(['depth', 'school'], ['back', 'flank'])) {
            return null;
        }
        $depth = $values->model($node->get('depth'));
        $school = $node->get('school')?->choice(Relief::SCHOOLS);
        $said = $node->get('back')?->choice(ReliefBack::known());
        $back = $node->get('back') === null ? ReliefBack::Open : ReliefBack::tryFrom($said ?? '');
        $flank = $node->get('flank') === null ? 'keep' : $node->get('flank')->choice(Relief::FLANKS);

        return $depth === null || $school === null || $back === null || $flank === null
            ? null
            : new Relief($depth, $school, $back, $flank, $node->path);
    }
}
