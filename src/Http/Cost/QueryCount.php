<?php

declare(strict_types=1);

namespace Lustrum\Http\Cost;

use Symfony\Contracts\Service\ResetInterface;

/** How many statements went to the database since the request began. */
final class QueryCount implements ResetInterface
{
    private int $count = 0;

    public function add(): void
    {
        ++$this->count;
    }

    public function total(): int
    {
        return $this->count;
    }

    public function reset(): void
    {
        $this->count = 0;
    }
}
