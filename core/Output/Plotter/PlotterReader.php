<?php

declare(strict_types=1);

namespace Chartula\Core\Output\Plotter;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Problem\InvalidInput;

/**
 * Reads the HPGL that a knife plotter needs: IN, CO, SP, PA, PU and PD in absolute coordinates. Gives every movement in
 * order. Anything else is refused with the command's number, since a knife must not guess.
 *
 * @phpstan-type Move array{tool: int, stock: ?string, down: bool, to: Vec2}
 */
final readonly class PlotterReader
{
    private const MOST_BYTES = 20_000_000;

    private const MOST_MOVES = 1_000_000;

    /** Where a page is for several stocks, the writer says where the next begins. */
    private const STOCK = '/^"from here on ([a-z0-9][a-z0-9.-]*)"$/D';

    /**
     * @return list<Move>
     *
     * @throws InvalidInput at command.N
     */
    public static function read(string $text): array
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw InvalidInput::at('', 'json.too-long', ['given' => strlen($text), 'limit' => self::MOST_BYTES]);
        }
        // A comment may hold anything but a quote.
        $commands = preg_split('/;(?=(?:[^"]*"[^"]*")*[^"]*$)/', $text);
        $moves = [];
        $tool = 0;
        $stock = null;
        foreach ($commands === false ? [] : $commands as $i => $command) {
            $command = trim($command);
            if ($command === '') {
                continue;
            }
            [$verb, $rest] = [strtoupper(substr($command, 0, 2)), trim(substr($command, 2))];
            match (true) {
                $verb === 'CO' && preg_match(self::STOCK, $rest, $said) === 1 => $stock = $said[1],
                in_array($verb, ['IN', 'CO', 'PA'], true) && ($verb !== 'PA' || $rest === '') => null,
                $verb === 'SP' && preg_match('/^[0-9]?$/D', $rest) === 1 => $tool = (int) $rest,
                $verb === 'PU'
                    || $verb === 'PD'
                    || $verb === 'PA' => array_push(
                        $moves,
                        ...array_map(
                            static fn (array $move): array => ['tool' => $tool, 'stock' => $stock] + $move,
                            self::moves($verb === 'PA' ? self::isDown($moves) : $verb === 'PD', $rest, $i + 1),
                        ),
                    ),
                default => throw InvalidInput::at('command.'.($i + 1), 'plotter.unknown', ['given' => mb_substr($command, 0, 40)]),
            };
            if (count($moves) > self::MOST_MOVES) {
                throw InvalidInput::at('command.'.($i + 1), 'too-many', ['given' => count($moves), 'limit' => self::MOST_MOVES]);
            }
        }

        return $moves;
    }

    /** @return list<string> what its comments say */
    public static function comments(string $text): array
    {
        preg_match_all('/\bCO\s*"([^"]{0,200})"/', $text, $found);

        return $found[1];
    }

    /** @param  list<Move>  $moves */
    private static function isDown(array $moves): bool
    {
        return $moves !== [] && $moves[count($moves) - 1]['down'];
    }

    /** @return list<array{down: bool, to: Vec2}> */
    private static function moves(bool $down, string $numbers, int $command): array
    {
        if ($numbers === '') {
            return [];
        }
        if (preg_match('/^-?\d{1,7}(?:\.\d+)?(?:[,\s]+-?\d{1,7}(?:\.\d+)?)*$/D', $numbers) !== 1) {
            throw InvalidInput::at("command.$command", 'plotter.unknown', ['given' => mb_substr($numbers, 0, 40)]);
        }
        $values = array_map(floatval(...), (array) preg_split('/[,\s]+/', $numbers));
        if (count($values) % 2 !== 0) {
            throw InvalidInput::at("command.$command", 'plotter.odd', ['given' => count($values)]);
        }
        $moves = [];
        foreach (array_chunk($values, 2) as $pair) {
            $moves[] = [
                'down' => $down,
                'to' => new Vec2($pair[0] / PlotterWriter::UNITS_PER_MM, ($pair[1] ?? 0.0) / PlotterWriter::UNITS_PER_MM),
            ];
        }

        return $moves;
    }
}
