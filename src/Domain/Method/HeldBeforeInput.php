<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\HeldBefore;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** What must have held before, as it is typed. */
final readonly class HeldBeforeInput
{
    /**
     * @param string       $method name of it; empty: the same method
     * @param list<string> $levels a line for each factor: 'drop height: 40 cm'
     */
    public function __construct(
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $method = '',
        #[Choices]
        public array $levels = [],
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $why = '',
    ) {
    }

    public function held(): HeldBefore
    {
        $levels = [];
        foreach ($this->levels as $line) {
            [$name, $text] = array_pad(explode(':', $line, 2), 2, '');
            if (trim($name) !== '') {
                $levels[trim($name)] = trim($text);
            }
        }

        return new HeldBefore(trim($this->method), $levels, trim($this->why));
    }
}
