<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Explain;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Reads the page that explains the numbers: a heading 'Title {key}', and its text up to the next. */
final readonly class Explanations
{
    public function __construct(
        #[Autowire('%kernel.project_dir%/docs/guide/numbers.md')]
        private string $file,
    ) {
    }

    /** @return list<Explanation> */
    public function all(): array
    {
        preg_match_all('/^### (.+?) \{([a-zA-Z.]+)\}\n+(.*?)(?=^#|\z)/ms', (string) file_get_contents($this->file), $found, PREG_SET_ORDER);

        return array_map(
            static fn (array $f): Explanation => new Explanation($f[2], $f[1], trim(preg_replace('/\s*\n\s*/', ' ', $f[3]) ?? '')), $found,
        );
    }
}
