"""Prints the public holidays of countries as python3-workalendar knows them: { "SE": ["2024-01-01", …], … }."""

import json
from workalendar.europe import Austria, France, Italy, Poland, Spain, Sweden

COUNTRIES = {"AT": Austria, "ES": Spain, "FR": France, "IT": Italy, "PL": Poland, "SE": Sweden}

print(
    json.dumps(
        {
            code: [str(day) for year in range(2024, 2033) for day, _ in calendar().holidays(year)]
            for code, calendar in COUNTRIES.items()
        }
    )
)
