<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\Node\FunctionLike;
use PhpParser\Node\Stmt\ClassMethod;
use PhpParser\Node\Stmt\Function_;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** How long lines, functions and lists of parameters may be. What is longer stands in Exceptions, with its reason. */
final class SizesTest extends TestCase
{
    private const FOLDERS = ['app', 'bench', 'bootstrap', 'config', 'core', 'database', 'routes', 'tests'];

    private const MOST_COLUMNS = 140;

    private const MOST_LINES_OF_A_FUNCTION = 40;

    private const MOST_LINES_OF_A_FILE = 300;

    private const MOST_PARAMETERS = 4;

    /** A sentence for people stays on one line, so that whoever reads it on a screen finds it here. */
    private const SENTENCE = '/\'(?:[^\'\\\\]|\\\\.){50,}\'|"(?:[^"\\\\]|\\\\.){50,}"/u';

    /** @var array<string, FunctionLike> once read */
    private static array $functions = [];

    #[DataProvider('provideFiles')]
    public function testLinesAndFilesAreShort(string $file): void
    {
        $lines = explode("\n", self::code($file));
        $long = array_filter(
            $lines,
            static fn (string $line): bool => mb_strlen((string) preg_replace(self::SENTENCE, "''", $line)) > self::MOST_COLUMNS,
        );
        self::assertSame([], array_map(static fn (int $i): int => $i + 1, array_keys($long)), "long lines in $file");
        $code = array_filter($lines, static fn (string $line): bool => preg_match('#^\s*(//|/?\*.*|)$#', $line) !== 1);
        // A list of cases may be as long as there are cases.
        self::assertTrue(str_starts_with($file, 'tests/') || count($code) <= self::MOST_LINES_OF_A_FILE, "$file has outgrown its name");
    }

    public function testFunctionsAreShortOrHaveAReason(): void
    {
        self::assertSame(array_keys(Exceptions::LONG), self::found(
            static fn (FunctionLike $f): bool => $f->getEndLine() - $f->getStartLine() + 1 > self::MOST_LINES_OF_A_FUNCTION,
        ));
    }

    /** A constructor that only takes its parameters over lists the fields of a record, and is called by their names. */
    public function testFunctionsTakeFewParametersOrHaveAReason(): void
    {
        self::assertSame(array_keys(Exceptions::MANY_PARAMETERS), self::found(
            static fn (FunctionLike $f): bool => count($f->getParams()) > self::MOST_PARAMETERS && ! self::isRecord($f),
        ));
    }

    private static function isRecord(FunctionLike $function): bool
    {
        $taken = array_filter($function->getParams(), static fn (Node\Param $p): bool => $p->flags !== 0);

        return $function instanceof ClassMethod
            && $function->name->toString() === '__construct'
            && count($taken) === count($function->getParams());
    }

    /**
     * @param  callable(FunctionLike): bool  $isTooMuch
     * @return list<string> `file::function`, sorted
     */
    private static function found(callable $isTooMuch): array
    {
        $found = array_keys(array_filter(self::functions(), $isTooMuch));
        sort($found);

        return $found;
    }

    /** @return array<string, FunctionLike> every function and method, by `file::name` */
    private static function functions(): array
    {
        if (self::$functions !== []) {
            return self::$functions;
        }
        $finder = new NodeFinder;
        foreach (self::provideFiles() as [$file]) {
            $parsed = (new ParserFactory)->createForHostVersion()->parse(self::code($file)) ?? [];
            foreach ([ClassMethod::class, Function_::class] as $kind) {
                foreach ($finder->findInstanceOf($parsed, $kind) as $function) {
                    self::$functions["$file::{$function->name}"] = $function;
                }
            }
        }

        return self::$functions;
    }

    /** @return iterable<string, array{string}> */
    public static function provideFiles(): iterable
    {
        $root = dirname(__DIR__, 2);
        $folders = array_map(static fn (string $folder): string => "$root/$folder", self::FOLDERS);
        foreach (Finder::create()->files()->name('*.php')->in($folders)->notPath('cache')->sortByName() as $file) {
            $name = substr($file->getPathname(), strlen($root) + 1);
            yield $name => [$name];
        }
    }

    private static function code(string $file): string
    {
        return (string) file_get_contents(dirname(__DIR__, 2)."/$file");
    }
}
