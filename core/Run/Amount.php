<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\Quantity\Quantity;

/** So much of something, as somebody said it: 'mass, 78 kg'. */
final readonly class Amount
{
    public function __construct(
        public string $what,
        public string $text,
    ) {
    }

    /** @throws \Lustrum\Core\CoreException when the text is no quantity */
    public function quantity(): Quantity
    {
        return Quantity::typed($this->text);
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(Row::text($row['what'] ?? ''), Row::text($row['text'] ?? ''));
    }

    /**
     * @param list<self> $amounts
     *
     * @return array<string, Quantity> by what they are of, however it is written
     *
     * @throws \Lustrum\Core\CoreException
     */
    public static function named(array $amounts): array
    {
        $out = [];
        foreach ($amounts as $amount) {
            $out[mb_strtolower(trim($amount->what))] = $amount->quantity();
        }

        return $out;
    }
}
