<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** The SHA-256 of a file: a string of 64 hexadecimal digits. */
final readonly class DigestType implements FieldType
{
    private const DIGITS = '^[0-9a-f]{64}$';

    public function read(Node $node, Values $values): mixed
    {
        $text = $node->text(100);
        if ($text !== null && preg_match('/'.self::DIGITS.'/D', $text) !== 1) {
            $node->fault('digest', ['given' => mb_substr($text, 0, 40)]);

            return null;
        }

        return $text;
    }

    public function schema(): array
    {
        return ['type' => 'string', 'pattern' => self::DIGITS];
    }

    public function form(): array
    {
        return ['what' => 'text'];
    }

    public function words(): string
    {
        return 'the SHA-256 of a file, 64 digits';
    }
}
