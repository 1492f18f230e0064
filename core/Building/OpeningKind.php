<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** What an opening is for, as `styles.*.kind` says it. */
enum OpeningKind: string
{
    case Window = 'window';
    case Door = 'door';

    /** Nothing stands in it, as in an archway. */
    case Open = 'open';

    /** What it is called where it has no name of its own. */
    public function words(): string
    {
        return match ($this) {
            self::Window, self::Door => $this->value,
            self::Open => 'archway',
        };
    }

    /** @return list<string> as documents may say it */
    public static function known(): array
    {
        return array_column(self::cases(), 'value');
    }

    /** As a document that may have faults says it: a window where it says nothing else. */
    public static function said(mixed $value): self
    {
        return (is_string($value) ? self::tryFrom($value) : null) ?? self::Window;
    }
}
