<?php

declare(strict_types=1);

namespace Lustrum\Http;

use Lustrum\Record\Inputs;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;

/** Gives controllers the body of a request as a typed input. */
final readonly class BodyResolver implements ValueResolverInterface
{
    public function __construct(
        private Inputs $inputs,
    ) {
    }

    /** @return list<object> */
    public function resolve(Request $request, ArgumentMetadata $argument): iterable
    {
        $class = $argument->getType();
        if ($argument->getAttributesOfType(Body::class) === [] || $class === null || !class_exists($class)) {
            return [];
        }

        return [$this->inputs->read($class, Inputs::decode($request->getContent()))];
    }
}
