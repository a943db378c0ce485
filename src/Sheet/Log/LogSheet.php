<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Log;

/** Who came in, who was let in, and what was taken out of a workspace; for leads. */
final readonly class LogSheet
{
    /**
     * @param list<LogRow> $rows newest first
     * @param string|null  $next where the list goes on
     */
    public function __construct(
        public string $sentence,
        public array $rows,
        public ?string $next,
    ) {
    }
}
