<?php

declare(strict_types=1);

namespace App\Cli;

use Chartula\Core\Problem\InvalidInput;
use RuntimeException;

/** One verb of `bin/chartula`: reads its words, works, and says on standard error what could not be done (exit 2). */
abstract readonly class Verb
{
    /**
     * @param  resource  $in
     * @param  resource  $out
     * @param  resource  $errors
     */
    public function __construct(
        protected mixed $in,
        private mixed $out,
        private mixed $errors,
    ) {
    }

    /** @param  list<string>  $words  after the verb */
    final public function run(array $words): int
    {
        try {
            return $this->work($words);
        } catch (InvalidInput $e) {
            // Every fault on a line of its own, led by its path.
            $this->complain($e->getMessage());
        } catch (RuntimeException $e) {
            $this->complain('chartula: '.$e->getMessage());
        }

        return 2;
    }

    /**
     * @param  list<string>  $words
     * @return int the exit code
     *
     * @throws InvalidInput|RuntimeException
     */
    abstract protected function work(array $words): int;

    protected function say(string $text): void
    {
        fwrite($this->out, $text);
    }

    protected function complain(string $line): void
    {
        fwrite($this->errors, $line."\n");
    }
}
