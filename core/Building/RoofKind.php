<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** What a roof does over all of its edges, where none of them says otherwise, as `roof.kind` says it. */
enum RoofKind: string
{
    case Gable = 'gable';
    case Hip = 'hip';
    case HalfHip = 'half-hip';
    case LeanTo = 'lean-to';
    case Flat = 'flat';
    case Mansard = 'mansard';
    case None = 'none';

    /** Whether planes rise from its eaves to a ridge. */
    public function isPitched(): bool
    {
        return $this !== self::Flat && $this !== self::None;
    }

    /** Whether its planes meet in more lines than a ridge. */
    public function isHipped(): bool
    {
        return in_array($this, [self::Hip, self::HalfHip, self::Mansard], true);
    }

    /** @return list<string> as documents may say it */
    public static function known(): array
    {
        return array_column(self::cases(), 'value');
    }
}
