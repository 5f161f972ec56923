"""Request records read into the dataclasses that describe them: the types are the rules."""

from dataclasses import MISSING, fields, is_dataclass
from functools import cache
from types import NoneType, UnionType
from typing import Any, Literal, TypeVar, get_args, get_origin, get_type_hints

from uchuu_core.failures import BadRequest

_T = TypeVar("_T")
_KINDS = {str: "a text", int: "a whole number", bool: "true or false"}


def read_record(kind: type[_T], record: Any, name: str = "") -> _T:
    """Return the *kind* that a JSON object describes; what is left out, or null, has its default.

    Args:
        kind: A dataclass of texts, whole numbers, truth values, words to choose from, lists of these,
            and other such dataclasses.
        record: What was sent.
        name: Where it stands in the request, for the message.
    Raises:
        BadRequest: a field is missing or of the wrong type; says which, and what it should be.
    """
    if not isinstance(record, dict):
        where = f"“{name}”" if name else "A request"
        raise BadRequest(f"{where} should be one JSON object.")
    found = {}
    for one in fields(kind):  # type: ignore[arg-type]
        where = f"{name}.{one.name}" if name else one.name
        value = record.get(one.name)
        if value is None and (one.default is not MISSING or one.default_factory is not MISSING):
            continue
        found[one.name] = _read(_hints(kind)[one.name], value, where)  # type: ignore[arg-type]
    return kind(**found)


@cache
def _hints(kind: type) -> dict[str, Any]:
    return get_type_hints(kind)


def _read(kind: Any, value: Any, name: str) -> Any:
    if get_origin(kind) is UnionType:
        (kind,) = (one for one in get_args(kind) if one is not NoneType)
    if get_origin(kind) is Literal:
        if value not in get_args(kind):
            words = ", ".join(get_args(kind))
            raise BadRequest(f"“{name}” should be one of {words}; it is {value!r}.")
        return value
    if get_origin(kind) is tuple:
        if not isinstance(value, list | tuple):
            raise BadRequest(f"“{name}” should be a list.")
        return tuple(_read(get_args(kind)[0], one, name) for one in value)
    if is_dataclass(kind):
        return read_record(kind, value, name)  # type: ignore[arg-type]
    if not isinstance(value, kind) or (kind is int and isinstance(value, bool)):
        raise BadRequest(f"“{name}” should be {_KINDS[kind]}.")
    return value
