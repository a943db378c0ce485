<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Core\CoreException;
use Lustrum\Core\Working\OwnSum;
use Lustrum\Core\Working\Work;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** A sum of one's own, whole: what was kept of it stays what it was, whatever becomes of the one in the workshop's list. */
final readonly class OwnFormula
{
    /**
     * @param string            $unit      of the answer; empty: a plain number
     * @param list<SumVariable> $variables
     * @param string            $note      what it leaves out
     */
    public function __construct(
        #[Name]
        public string $name,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $formula,
        #[UnitSymbol]
        public string $unit,
        #[Assert\Valid]
        #[Assert\Count(min: 1, max: 20, minMessage: 'What goes into it?', maxMessage: 'At most {{ limit }} values.')]
        public array $variables,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
    ) {
    }

    /** @throws Invalid at the formula */
    public function work(string $within = ''): Work
    {
        $names = array_map(static fn (SumVariable $v): string => $v->name, $this->variables);
        if (count(array_unique($names)) < count($names)) {
            throw Invalid::at($within.'variables', 'A name stands there twice.');
        }
        try {
            $own = OwnSum::of(
                trim($this->name), trim($this->formula), trim($this->unit),
                array_map(
                    static fn (SumVariable $v): array => ['name' => $v->name, 'words' => trim($v->words), 'unit' => trim($v->unit)],
                    $this->variables,
                ),
                trim($this->note),
            );
        } catch (CoreException $e) {
            throw Invalid::at($within.'formula', $e->getMessage());
        }

        return new Work($own, $own->about());
    }
}
