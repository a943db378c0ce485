<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Symfony\Component\DependencyInjection\ParameterBag\ContainerBagInterface;

/** Which state of the code is running: what an older one worked out is not taken for this one's. */
final readonly class Code
{
    public string $version;

    public function __construct(ContainerBagInterface $parameters)
    {
        $id = $parameters->get('container.build_id');
        $this->version = is_string($id) ? $id : '';
    }
}
