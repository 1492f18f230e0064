<?php

declare(strict_types=1);

namespace Tests\Support\Things;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\LengthType;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\DressedOpening;
use Chartula\Core\Form\Claims\Dresses;
use Chartula\Core\Form\Claims\HowMade;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Ring;

/** A kind that only tests know: a plaque over a head. */
final readonly class Plaque implements Dresses
{
    public function name(): string
    {
        return 'plaque';
    }

    public function title(): string
    {
        return 'Plaque';
    }

    public function says(): string
    {
        return 'Of enamel, in the middle over a head.';
    }

    public function picture(): string
    {
        return 'M9 4H15V8H9Z';
    }

    public function anchors(): array
    {
        return [Anchor::Opening];
    }

    public function fields(): FieldSet
    {
        return new FieldSet('plaque', ...[Field::optional('w', 'width', LengthType::real(), '12in')], ...HowMade::fields('2in'));
    }

    public function refusal(Feature $feature, DressedOpening $at): ?string
    {
        return null;
    }

    public function claims(Feature $feature, DressedOpening $at): array
    {
        $half = $at->masonry->mm($feature->said->real('w')) / 2.0;
        [$middle, $foot] = [$at->opening->left + $at->opening->shape->width / 2.0, $at->opening->top() + $at->over];
        $ring = Ring::rectangle($middle - $half, $foot, $middle + $half, $foot + $half);
        $how = HowMade::from($feature->said->text('as') ?? 'printed');
        $proud = $at->masonry->mm($feature->said->real('proud'));

        return [new Claim('plaque', $feature, $ring, [], new Tone('#20435c', '#20435c'), $how, $proud)];
    }
}
