<?php

declare(strict_types=1);

namespace Chartula\Core\Problem;

/** What can be made but should be thought about: a practitioner's remark on the kit. */
final readonly class Check
{
    public const OK = 'ok';

    public const NOTE = 'note';

    public const WARN = 'warn';

    public const STOP = 'stop';

    public const LEVELS = [self::OK, self::NOTE, self::WARN, self::STOP];

    /**
     * @param  value-of<self::LEVELS>  $level
     * @param  string  $at  the wall, opening or part concerned ("main.front.w1")
     * @param  ?float  $mm  the figure concerned, model millimetres
     */
    public function __construct(
        public string $code,
        public string $level,
        public string $at,
        public string $text,
        public ?float $mm = null,
    ) {
    }

    /** @return array{code: string, level: string, at: string, text: string, mm: ?float} */
    public function toArray(): array
    {
        return [
            'code' => $this->code, 'level' => $this->level, 'at' => $this->at, 'text' => $this->text,
            'mm' => $this->mm === null ? null : round($this->mm, 4),
        ];
    }
}
