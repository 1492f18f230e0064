<?php

declare(strict_types=1);

namespace Chartula\Core\Recall;

/**
 * What was worked out before, by everything that it was worked out from: after an edit most of it is asked again word for
 * word. It never changes an answer, only how soon it comes; what one run does not ask for the next has forgotten.
 */
final class Recall
{
    /** @var array<string, mixed> what was asked in this run */
    private array $now = [];

    private int $worked = 0;

    /** @param  array<string, mixed>  $before  the answers() of an earlier run of the same core */
    public function __construct(private readonly array $before = [])
    {
    }

    /**
     * A question from what its answer depends on, and from nothing else. Each of them is put by itself: that two hold the same object
     * is no part of it.
     */
    public static function question(string $about, mixed ...$all): string
    {
        return $about.hash('xxh128', implode("\0", array_map(serialize(...), $all)), true);
    }

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public function of(string $question, callable $work): mixed
    {
        if (array_key_exists($question, $this->now)) {
            /** @var T */
            return $this->now[$question];
        }
        if (array_key_exists($question, $this->before)) {
            /** @var T */
            return $this->now[$question] = $this->before[$question];
        }
        $this->worked++;

        return $this->now[$question] = $work();
    }

    /** @return array<string, mixed> what was known before this run */
    public function before(): array
    {
        return $this->before;
    }

    /** How many questions of this run were new. */
    public function worked(): int
    {
        return $this->worked;
    }

    /** @return array<string, mixed> for the next run: plain values and objects of the core */
    public function answers(): array
    {
        return $this->now;
    }
}
