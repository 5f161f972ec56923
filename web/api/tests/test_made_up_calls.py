"""Calls made up from the API's own schema: whatever fits it, or nearly, gets an answer that the schema names.

``UCHUU_CALLS`` says how many for each endpoint (a few here; 60 in the long tests).
"""

import os
from typing import Any
from urllib.parse import quote, urlencode

import pytest
import schemathesis
from config.api import api
from hypothesis import HealthCheck, Phase, settings

from api.testing import ApiClient

CALLS = int(os.environ.get("UCHUU_CALLS", "3"))
AT_THE_DOOR = {404, 405, 413, 422}
"""How any call may be refused before an endpoint is asked: no such address, too large, not as the schema has it."""
SCHEMA = schemathesis.openapi.from_dict(api.get_openapi_schema())


@pytest.fixture(scope="module", autouse=True)
def _fast(django_db_setup: None) -> None:
    """Have the database made before the first call is."""


@SCHEMA.parametrize()
@settings(
    max_examples=CALLS,
    deadline=None,
    derandomize=True,
    database=None,
    phases=[Phase.generate],
    suppress_health_check=list(HealthCheck),
)
def test_whatever_is_called_is_answered_as_the_schema_says(case: Any, ada: ApiClient) -> None:
    path = case.path.removeprefix("/api")
    for name, value in (case.path_parameters or {}).items():
        path = path.replace(f"{{{name}}}", quote(str(value), safe=""))
    query = {key: value for key, value in (case.query or {}).items() if value is not None}
    address = f"{path}?{urlencode(query, doseq=True)}" if query else path
    if case.media_type == "multipart/form-data":
        reply = ada.upload(address, "made-up.csv", str(case.body).encode(errors="replace"))
    else:
        body = case.body if isinstance(case.body, (dict, list, str, int)) else None
        reply = ada.call(case.method, address, body)

    documented = {int(status) for status in case.operation.definition.raw["responses"]}
    told = f"{case.method} {address}: {reply.status_code} {reply.content[:200]!r}"
    assert reply.status_code in documented | AT_THE_DOOR, told
    assert not reply.get("Content-Type", "").startswith("text/html") or reply.status_code < 400, (
        told
    )
