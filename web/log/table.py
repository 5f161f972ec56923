"""The log of a class as a file: a table of errors by time, and everything in JSON."""

from typing import Any, Literal

from classes.models import SchoolClass
from django.http import HttpResponse
from giving.files import CSV, WORKBOOK, document_reply, file_reply
from giving.writers.tables import bytes_of, csv_of, workbook_of

from log.queries.errors import log_of
from log.queries.ground import ground_of
from log.queries.student import student_log


def log_file(school_class: SchoolClass, ending: Literal["csv", "xlsx", "json"]) -> HttpResponse:
    """Return the log in one of the open formats."""
    name = f"{school_class.title} log"
    match ending:
        case "csv":
            return file_reply(csv_of(table_of(school_class)).encode(), CSV, name, "csv")
        case "xlsx":
            content = bytes_of(workbook_of("Log", table_of(school_class)))
            return file_reply(content, WORKBOOK, name, "xlsx")
        case _:
            return document_reply(log_record(school_class), name)


def table_of(school_class: SchoolClass) -> list[list[Any]]:
    """Return a head, then a row for each error: in each column how many of how many, as two cells."""
    log = log_of(school_class)
    heads = [f"{one['date']} {one['of'].title}" for one in log["columns"]]
    head = ["error", "since", "trend", *(x for one in heads for x in (one, f"{one} of"))]
    return [
        head,
        *(
            [
                f"{row['name']}{' (stops too soon)' if row['too_soon'] else ''}",
                row["since"].isoformat(),
                row["trend"],
                *(
                    x
                    for cell in row["cells"]
                    for x in ((cell["count"], cell["of"]) if cell else ("", ""))
                ),
            ]
            for row in log["rows"]
        ),
    ]


def log_record(school_class: SchoolClass) -> dict[str, Any]:
    """Return the log of a class and of each code."""
    ground = ground_of(school_class)
    log = log_of(school_class, ground)
    return {
        "format": "uchuu-log",
        "class": school_class.title,
        "columns": [
            {"kind": one["kind"], "title": one["of"].title, "date": one["date"].isoformat()}
            for one in log["columns"]
        ],
        "errors": [
            {
                "error": row["error"],
                "name": row["name"],
                "too_soon": row["too_soon"],
                "cells": row["cells"],
                "since": row["since"].isoformat(),
                "trend": row["trend"],
            }
            for row in log["rows"]
        ],
        "codes": [
            {
                "code": student.code,
                "errors": [
                    {
                        "error": row["error"],
                        "name": row["name"],
                        "too_soon": row["too_soon"],
                        "count": row["count"],
                        "since": row["since"].isoformat(),
                        "last": row["last"].isoformat(),
                        "closed": row["closed"],
                    }
                    for row in student_log(student, ground)["rows"]
                ],
            }
            for student in school_class.students.all()
        ],
    }
