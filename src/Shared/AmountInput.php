<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Lustrum\Core\CoreException;
use Lustrum\Core\Run\Amount;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Validator\Constraints as Assert;

/** So much of something as it is typed: 'mass' and '78 kg'. */
final readonly class AmountInput
{
    public function __construct(
        #[Name]
        public string $what,
        #[Assert\NotBlank(message: 'How much, with its unit?')]
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
    ) {
    }

    /**
     * @param list<self> $inputs
     *
     * @return list<Amount>
     *
     * @throws Invalid at the one that is no quantity, or is there twice
     */
    public static function amounts(array $inputs, string $path): array
    {
        $out = [];
        foreach ($inputs as $i => $input) {
            $amount = new Amount(trim($input->what), trim($input->text));
            try {
                $amount->quantity();
            } catch (CoreException $e) {
                throw Invalid::at(sprintf('%s[%d].text', $path, $i), $e->getMessage());
            }
            if (isset($out[mb_strtolower($amount->what)])) {
                throw Invalid::at(sprintf('%s[%d].what', $path, $i), 'This is there twice.');
            }
            $out[mb_strtolower($amount->what)] = $amount;
        }

        return array_values($out);
    }
}
